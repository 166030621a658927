const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
// The demo toys ship as the text files the terminal reads too.
config.resolver.assetExts.push('txt');
module.exports = config;
