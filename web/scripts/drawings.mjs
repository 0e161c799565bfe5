// Draws the plate of every cause of the herbarium once, for the grower's page, which
// carries no script: dist/drawings/<cause>.svg.gz, in the colours of the light theme.
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import yaml from 'js-yaml';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { createServer } from 'vite';

const causes = '../herbarium/causes/';
const out = 'dist/drawings/';
const css = readFileSync('src/styles/base.css', 'utf8');
const light = new Map([...css.slice(0, css.indexOf('}')).matchAll(/(--[\w-]+):\s*([^;]+);/g)].map((m) => [m[1], m[2]]));
const plain = (svg) => svg.replace(/var\((--[\w-]+)\)/g, (_, name) => light.get(name) ?? '#000');

const vite = await createServer({ server: { middlewareMode: true, hmr: false, ws: false }, appType: 'custom', logLevel: 'error', optimizeDeps: { noDiscovery: true } });
const { Plate } = await vite.ssrLoadModule('/src/plates/Plate.tsx');
rmSync(out, { recursive: true, force: true });
mkdirSync(out, { recursive: true });
let n = 0;
for (const file of readdirSync(causes).filter((f) => f.endsWith('.yaml')))
  for (const c of yaml.load(readFileSync(causes + file, 'utf8'))) {
    const svg = renderToStaticMarkup(createElement(Plate, { id: c.id, d: c.drawing ?? {}, name: c.name, size: c.size_mm, width: 170 }));
    writeFileSync(`${out}${c.id}.svg.gz`, gzipSync(plain(svg).replace('<svg ', '<svg xmlns="http://www.w3.org/2000/svg" '), { level: 9 }));
    n++;
  }
await vite.close();
if (n < 300) throw new Error(`only ${n} causes were drawn`);
