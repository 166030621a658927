const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
// The demo toys ship as the text files the terminal reads too; a page of the docs ships as it is.
config.resolver.assetExts.push('txt', 'md');

// Packages that others take if they are there, and that nothing here uses: together a sixth of what a first visit would load.
const leftOut = new Set(['react-native-reanimated', 'react-native-worklets']);
const { resolveRequest } = config.resolver;
config.resolver.resolveRequest = (context, name, platform) => {
  if (leftOut.has(name)) return { type: 'empty' };
  return (resolveRequest ?? context.resolveRequest)(context, name, platform);
};
module.exports = config;
