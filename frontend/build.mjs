// Builds what the application ships from what stands here, and writes down a hash of the inputs so that a test can tell
// whether the committed result still matches them.
import { createHash } from 'node:crypto';
import { execFileSync } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

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
copyFileSync(join(modules, 'htmx.org', 'dist', 'htmx.min.js'), join(out, 'vendor', 'htmx.min.js'));
copyFileSync(join(modules, 'htmx.org', 'LICENSE'), join(out, 'vendor', 'htmx.LICENSE.txt'));
copyFileSync(join(modules, 'idiomorph', 'dist', 'idiomorph-ext.min.js'), join(out, 'vendor', 'idiomorph-ext.min.js'));
copyFileSync(join(modules, 'idiomorph', 'LICENSE'), join(out, 'vendor', 'idiomorph.LICENSE.txt'));
for (const font of ['alegreya', 'atkinson-hyperlegible-next']) {
  for (const range of ['latin', 'latin-ext']) {
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
copyFileSync(join(modules, 'idb', 'LICENSE'), join(out, 'vendor', 'idb.LICENSE.txt'));
copyFileSync(join(modules, 'workbox-core', 'LICENSE'), join(out, 'vendor', 'workbox.LICENSE.txt'));
writeFileSync(stampFile, stamp + '\n');
console.log('frontend: built');
