// After `expo export`: writes dist/sw.js with workbox, so that the app starts and works without a network.
import { generateSW } from 'workbox-build';

const dist = process.argv[2] ?? 'dist';
const result = await generateSW({
  mode: 'production',
  sourcemap: false,
  inlineWorkboxRuntime: true,
  swDest: `${dist}/sw.js`,
  globDirectory: dist,
  globPatterns: ['**/*.{js,css,html,json,png,ico,svg,ttf,woff2,webmanifest}'],
  globIgnores: ['sw.js', 'shared-photos.js', '**/*.map', 'metadata.json', 'demo/**'],
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//],
  dontCacheBustURLsMatching: /[.-][0-9a-f]{32}(@\dx)?\./,
  maximumFileSizeToCacheInBytes: 6 * 1024 * 1024,
  cleanupOutdatedCaches: true,
  clientsClaim: true,
  // A new version waits until the page that is open takes it up: what it still has to load is of the old one.
  skipWaiting: false,
  importScripts: ['shared-photos.js'],
});
for (const warning of result.warnings) console.warn(warning);
console.log(`sw.js: ${result.count} files, ${(result.size / 1048576).toFixed(2)} MiB kept for offline use`);
