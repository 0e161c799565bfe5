// How long a plate takes to draw, cold, as a share of the 20 ms it may take: one line for make bench.
import { readdirSync, readFileSync } from 'node:fs';
import yaml from 'js-yaml';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { createServer } from 'vite';

const dir = '../herbarium/causes/';
const causes = readdirSync(dir)
  .filter((f) => f.endsWith('.yaml'))
  .flatMap((f) => yaml.load(readFileSync(dir + f, 'utf8')));
const vite = await createServer({ server: { middlewareMode: true, hmr: false, ws: false }, appType: 'custom', logLevel: 'error', optimizeDeps: { noDiscovery: true } });
const { Plate } = await vite.ssrLoadModule('/src/plates/Plate.tsx');
// The first dozen warm the engine; what they drew is not counted.
const draw = (c, seed) => renderToStaticMarkup(createElement(Plate, { id: c.id, d: c.drawing, name: c.name, size: c.size_mm, seed }));
for (const c of causes.slice(0, 12)) draw(c, 1);
const times = causes.map((c) => {
  const t = performance.now();
  draw(c, 99);
  return performance.now() - t;
});
times.sort((a, b) => a - b);
const at = (q) => times[Math.min(times.length - 1, Math.floor(q * times.length))] / 20;
console.log(`bench plate-drawing-half: measured ${at(0.5).toFixed(2)}, goal 1 (of 20 ms)`);
console.log(`bench plate-drawing-95-in-100: measured ${at(0.95).toFixed(2)}, goal 1 (of 20 ms)`);
console.log(`bench plate-drawing-worst: measured ${at(1).toFixed(2)}, goal 2 (of 20 ms)`);
await vite.close();
