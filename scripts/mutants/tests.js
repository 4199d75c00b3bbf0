// Runs the tests of one bundle in this process and ends with 1 at the first that fails; without Jest's own loading, which takes longer than most tests.
const circus = require('jest-circus');
// By its path, since it is no public door: nothing else tells of a failure as soon as it happens.
const { addEventHandler } = require(require.resolve('jest-circus').replace(/index\.js$/, 'state.js'));
const { expect } = require('expect');

require('../../jest.properties');
for (const name of ['describe', 'test', 'it', 'beforeAll', 'beforeEach', 'afterAll', 'afterEach'])
  global[name] = circus[name];
global.expect = expect;
global.jest = { setTimeout: () => undefined };
addEventHandler((event) => {
  if (event.name === 'test_fn_failure' || event.name === 'error') process.exit(1);
});
try {
  require(process.argv[2]);
  circus.run().then(() => process.exit(0));
} catch {
  process.exit(1);
}
