// Stands for a text asset in the unit tests.
module.exports = { __esModule: true, default: 1 };
