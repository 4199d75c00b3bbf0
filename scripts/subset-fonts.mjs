// Cuts the shipped fonts to the characters the app uses (harfbuzz as wasm; nothing is downloaded).
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import subsetFont from 'subset-font';

const range = (a, b) => Array.from({ length: b - a + 1 }, (_, i) => String.fromCodePoint(a + i)).join('');
const LATIN =
  range(0x20, 0x7e) +
  range(0xa0, 0x17f) +
  '\u2010\u2011\u2013\u2014\u2018\u2019\u201c\u201d\u201e\u2026\u2032\u2033\u20ac\u00d7\u2190\u2191\u2192\u2193\u2212\u2215\u2044\u2248\u2264\u2265\u2300\u2153\u2154\u215b\u215c\u215d\u215e\u2080\u0394';
/** On paper there is room for the rarer letters of Latin scripts too. */
const PRINTED = LATIN + range(0x180, 0x24f) + range(0x1e00, 0x1eff);
const FIGURES = range(0x20, 0x7e) + '\u2212\u00b1\u00b0\u00b2\u00d7\u2013\u2026\u2032\u2033';
const FONTS = [
  ['zilla-slab/600SemiBold/ZillaSlab_600SemiBold', 'Slab', LATIN, ['woff2']],
  [
    'atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular',
    'Text',
    LATIN,
    ['woff2', 'ttf'],
  ],
  [
    'atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold',
    'TextBold',
    LATIN,
    ['woff2', 'ttf'],
  ],
  ['atkinson-hyperlegible-mono/700Bold/AtkinsonHyperlegibleMono_700Bold', 'Mono', FIGURES, ['woff2']],
];
mkdirSync('assets/fonts', { recursive: true });
for (const [source, name, characters, forms] of FONTS) {
  const font = readFileSync(`node_modules/@expo-google-fonts/${source}.ttf`);
  for (const form of forms) {
    const file = `assets/fonts/${name}.${form}`;
    if (existsSync(file)) continue;
    const out = await subsetFont(font, form === 'ttf' ? PRINTED : characters, {
      targetFormat: form === 'ttf' ? 'sfnt' : 'woff2',
    });
    writeFileSync(file, out);
    console.log(`${file} ${font.length} -> ${out.length}`);
  }
}
