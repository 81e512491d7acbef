// Builds what the application ships from what stands here, and writes down a hash of the inputs so that a test can tell
// whether the committed result still matches them.
import { createHash } from 'node:crypto';
import { execFileSync } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants } from 'node:zlib';

const here = dirname(fileURLToPath(import.meta.url));
const resources = join(here, '..', 'app', 'src', 'main', 'resources');
const out = join(resources, 'static');

const filesUnder = (dir) =>
  readdirSync(dir).sort().flatMap((name) => {
    const path = join(dir, name);
    return statSync(path).isDirectory() ? filesUnder(path) : [path];
  });

// Tailwind reads class names from the templates, so they are inputs too.
const inputs = [join(here, 'package-lock.json'), join(here, 'build.mjs'), ...filesUnder(join(here, 'src')), ...filesUnder(join(resources, 'templates'))];
const hash = createHash('sha256');
for (const file of inputs) {
  hash.update(readFileSync(file));
}
const stamp = hash.digest('hex');
const stampFile = join(out, 'css', 'inputs.sha256');
if (existsSync(stampFile) && readFileSync(stampFile, 'utf8').trim() === stamp) {
  process.exit(0);
}

const lock = createHash('sha256').update(readFileSync(join(here, 'package-lock.json'))).digest('hex');
const installed = join(here, 'node_modules', '.installed');
if (!existsSync(installed) || readFileSync(installed, 'utf8') !== lock) {
  execFileSync('npm', ['ci', '--ignore-scripts'], { cwd: here, stdio: 'inherit' });
  writeFileSync(installed, lock);
}

for (const dir of ['css', 'fonts', 'vendor', 'js']) {
  mkdirSync(join(out, dir), { recursive: true });
}
execFileSync(join(here, 'node_modules', '.bin', 'tailwindcss'), ['-i', 'src/app.css', '-o', join(out, 'css', 'app.css'), '--minify'], { cwd: here, stdio: 'inherit' });
const modules = join(here, 'node_modules');
copyFileSync(join(modules, 'htmx.org', 'LICENSE'), join(out, 'vendor', 'htmx.LICENSE.txt'));
copyFileSync(join(modules, 'idiomorph', 'LICENSE'), join(out, 'vendor', 'idiomorph.LICENSE.txt'));
// Of the letters every page needs at once only the weights that are used are sent along; the others come where a name asks for them.
const { default: subset } = await import('subset-font');
const USED = { alegreya: { min: 400, max: 700 }, 'atkinson-hyperlegible-next': { min: 400, max: 800 } };
const LATIN = [[0x20, 0xff], [0x131, 0x131], [0x152, 0x153], [0x2bb, 0x2bc], [0x2c6, 0x2c6], [0x2da, 0x2da], [0x2dc, 0x2dc], [0x2000, 0x206f],
  [0x20ac, 0x20ac], [0x2122, 0x2122], [0x2191, 0x2193], [0x2212, 0x2215], [0xfeff, 0xfeff], [0xfffd, 0xfffd]];
const letters = LATIN.flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, at) => String.fromCodePoint(from + at))).join('');
for (const font of Object.keys(USED)) {
  const whole = readFileSync(join(modules, '@fontsource-variable', font, 'files', `${font}-latin-wght-normal.woff2`));
  writeFileSync(join(out, 'fonts', `${font}-latin.woff2`), await subset(whole, letters, { targetFormat: 'woff2', variationAxes: { wght: USED[font] } }));
  for (const range of ['latin-ext']) {
    copyFileSync(join(modules, '@fontsource-variable', font, 'files', `${font}-${range}-wght-normal.woff2`), join(out, 'fonts', `${font}-${range}.woff2`));
  }
  copyFileSync(join(modules, '@fontsource-variable', font, 'LICENSE'), join(out, 'fonts', `${font}.LICENSE.txt`));
}
// One file for a page: what it imports is in it, so that its address, which carries a hash of what is there, names all of it.
execFileSync(
  join(here, 'node_modules', '.bin', 'esbuild'),
  ['src/app.js', '--bundle', '--minify', '--format=esm', '--target=es2022', '--legal-comments=none', `--outfile=${join(out, 'js', 'app.js')}`],
  { cwd: here, stdio: 'inherit' },
);
// What keeps pages for when the network is away runs by itself, apart from any page.
execFileSync(
  join(here, 'node_modules', '.bin', 'esbuild'),
  ['src/worker.js', '--bundle', '--minify', '--format=iife', '--target=es2022', '--legal-comments=none', '--define:process.env.NODE_ENV="production"', `--outfile=${join(out, 'js', 'worker.js')}`],
  { cwd: here, stdio: 'inherit' },
);
// What every first view asks for is sent as small as it goes, without being made small anew each time.
for (const file of [join('css', 'app.css'), join('js', 'app.js')]) {
  const of = readFileSync(join(out, file));
  writeFileSync(join(out, `${file}.br`), brotliCompressSync(of, { params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: of.length } }));
}
copyFileSync(join(modules, 'idb', 'LICENSE'), join(out, 'vendor', 'idb.LICENSE.txt'));
copyFileSync(join(modules, 'workbox-core', 'LICENSE'), join(out, 'vendor', 'workbox.LICENSE.txt'));
writeFileSync(stampFile, stamp + '\n');
console.log('frontend: built');
