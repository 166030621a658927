module.exports = (api) => {
  const isTest = api.env('test');
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
      // Jest runs what is loaded later as it runs the rest, by require.
      ...(isTest ? ['@babel/plugin-transform-dynamic-import'] : []),
    ],
  };
};
