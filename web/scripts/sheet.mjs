// A sheet of plates as one HTML page, for looking them over: node scripts/sheet.mjs OUT.html [--blind N [SEED]] [--dark] [--width PX] [ID…]
// With --blind the names are left out and go, with the numbers of the plates, into OUT.key.txt.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import yaml from 'js-yaml';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { createServer } from 'vite';

const args = process.argv.slice(2);
const out = args.shift();
const take = (flag, n = 1) => {
  const i = args.indexOf(flag);
  return i < 0 ? undefined : args.splice(i, n + 1).slice(1);
};
const dark = take('--dark', 0) !== undefined;
const width = Number(take('--width')?.[0] ?? 240);
const blind = take('--blind')?.[0];
const seed = take('--seed')?.[0];

const dir = '../herbarium/causes/';
const causes = readdirSync(dir)
  .filter((f) => f.endsWith('.yaml'))
  .flatMap((f) => yaml.load(readFileSync(dir + f, 'utf8')));
let list = args.length ? args.map((id) => causes.find((c) => c.id === id)).filter(Boolean) : causes;
if (blind) {
  let s = Number(seed ?? Date.now() % 1e6) || 1;
  const R = () => ((s = (s * 48271) % 2147483647) / 2147483647);
  list = [...list].map((c) => [R(), c]).sort((a, b) => a[0] - b[0]).map((x) => x[1]).slice(0, Number(blind));
}
const css = readFileSync('src/styles/base.css', 'utf8');
const vite = await createServer({ server: { middlewareMode: true, hmr: false, ws: false }, appType: 'custom', logLevel: 'error', optimizeDeps: { noDiscovery: true } });
const { Plate } = await vite.ssrLoadModule('/src/plates/Plate.tsx');
const sizes = [];
const body = list
  .map((c, i) => {
    const svg = renderToStaticMarkup(createElement(Plate, { id: c.id, d: c.drawing ?? {}, name: blind ? String(i + 1) : c.name, size: c.size_mm, width }), { identifierPrefix: `p${i}` });
    sizes.push([svg.length, c.id]);
    return `<figure>${blind ? svg.replace(/data-plate="[^"]*"/, '') : svg}<figcaption>${blind ? i + 1 : c.id}</figcaption></figure>`;
  })
  .join('');
writeFileSync(out, `<!doctype html><html${dark ? ' data-theme="dark"' : ''}><meta charset="utf-8"><title>Plates</title><style>${css}body{background:var(--sheet);color:var(--ink);margin:6px;display:flex;flex-wrap:wrap;gap:6px}figure{margin:0;width:${width}px;text-align:center;font:12px sans-serif}</style>${body}</html>`);
if (blind) writeFileSync(out.replace(/\.html$/, '.key.txt'), list.map((c, i) => `${i + 1} ${c.id}: ${c.name}`).join('\n') + '\n');
sizes.sort((a, b) => b[0] - a[0]);
console.log(blind ? `${list.length} plates without names` : `${list.length} plates; the heaviest: ${sizes.slice(0, 12).map(([n, id]) => `${id} ${Math.round(n / 1000)} kB`).join(', ')}`);
await vite.close();
