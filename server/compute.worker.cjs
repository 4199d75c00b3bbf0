// One computation at a time in a thread of its own, so that the server goes on answering.
const { register } = require('tsx/cjs/api');
register();
const { compute } = require('../src/core/computations.ts');

/** Errors cross as plain data: what was wrong with the input is told, what was wrong here is not. */
module.exports = async function run({ name, input }) {
  try {
    return { value: await compute(name, input) };
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error);
    return { error: message, kind: error instanceof RangeError ? 'input' : 'other' };
  }
};
