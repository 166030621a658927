const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
// The demo toys ship as the text files the terminal reads too; a page of the docs ships as it is.
config.resolver.assetExts.push('txt', 'md');
module.exports = config;
