const fc = require('fast-check');

// Mutants are many, and each is tried by every test that reaches it: of a property a few runs tell whether it notices. Those that ask for
// many runs count what they came across.
const few = 8;
const some = 60;
const many = 100;
const whole = fc.assert;
fc.assert = (property, options = {}) => {
  const most = (options.numRuns ?? 0) >= many ? some : few;
  return whole(property, { ...options, numRuns: Math.min(options.numRuns ?? most, most), seed: 7 });
};
