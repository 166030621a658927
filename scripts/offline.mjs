import { join } from 'node:path';
import { generateSW } from 'workbox-build';
import { root } from './setup.mjs';

/**
 * Writes the worker that keeps the whole app in the browser, so that it works with the network off. A new version waits until every page
 * of the old one is closed: it never takes over while something is being made.
 */
const { count, size, warnings } = await generateSW({
  globDirectory: join(root, 'dist'),
  globPatterns: ['**/*.{html,js,css,ttf,txt,md,json,png,svg,ico,webmanifest}'],
  // Fonts and demo toys stand in folders that are left out by default.
  globIgnores: ['sw.js'],
  swDest: join(root, 'dist', 'sw.js'),
  maximumFileSizeToCacheInBytes: 6_000_000,
  // Names with a hash never change.
  dontCacheBustURLsMatching: /[.-][0-9a-f]{32}\.\w+$/,
  inlineWorkboxRuntime: true,
  sourcemap: false,
  clientsClaim: true,
  skipWaiting: false,
  cleanupOutdatedCaches: true,
  // Every page of the app is the same file; what has an ending is a file of its own.
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/\.\w+$/],
});
for (const warning of warnings) process.stderr.write(`${warning}\n`);
process.stdout.write(`${count} files for use without a network, ${Math.round(size / 1000)} kB\n`);
