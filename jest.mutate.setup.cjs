const fc = require('fast-check');

// Mutants are many, and each is tried by every test that reaches it: of a property a few runs tell whether it notices.
const most = 8;
const whole = fc.assert;
fc.assert = (property, options = {}) =>
  whole(property, { ...options, numRuns: Math.min(options.numRuns ?? 100, most), seed: 7 });
