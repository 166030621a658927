module.exports = (api) => {
  api.cache(true);
  return {
    presets: ['babel-preset-expo'],
    // Chevrotain takes a few functions from a large collection by its index; name their files, so that only these are shipped.
    plugins: [
      ['transform-imports', { 'lodash-es': { transform: 'lodash-es/${member}', preventFullImport: true } }],
    ],
  };
};
