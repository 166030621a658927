module.exports = (api) => {
  api.cache(true);
  return {
    presets: ['babel-preset-expo'],
    // A few functions are taken from large collections by their index; name their files, so that only these are shipped.
    plugins: [
      [
        'transform-imports',
        {
          'lodash-es': { transform: 'lodash-es/${member}', preventFullImport: true },
          '@react-aria/focus': {
            transform: () => 'react-aria/private/focus/FocusScope',
            preventFullImport: true,
            skipDefaultConversion: true,
          },
        },
      ],
    ],
  };
};
