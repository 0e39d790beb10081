const { TestEnvironment } = require('jest-environment-node');

/** A fault is noticed by the first test that fails: the rest need not be run. */
module.exports = class FirstFailure extends TestEnvironment {
  handleTestEvent(event) {
    if (event.name === 'test_fn_failure' || event.name === 'hook_failure') this.failed = true;
    // what failed before its own turn, by a hook of its file, is told as failed
    if (event.name === 'test_start' && this.failed && event.test.errors.length === 0)
      event.test.mode = 'skip';
  }
};
