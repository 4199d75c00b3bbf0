// One computation at a time in a thread of its own, so that the server goes on answering.
const os = require('node:os');
const { register } = require('tsx/cjs/api');
register();
// Who answers goes first. On Linux a thread has a priority of its own; elsewhere it would be the whole server's.
if (process.platform === 'linux') os.setPriority(0, os.constants.priority.PRIORITY_LOW);
const { answer } = require('./answer.ts');

/** Errors cross as plain data: what was wrong with the input is told, what was wrong here is not. */
module.exports = async function run({ name, sent }) {
  try {
    return { value: await answer(name, sent) };
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error);
    return { error: message, kind: error instanceof RangeError ? 'input' : 'other' };
  }
};
