// The words a drawing may hold, for Go: words.mjs OUT. kb check reads them, for the book's
// sheets and for a desk's own.
import { writeFileSync } from 'node:fs';
import { createServer } from 'vite';

const vite = await createServer({ server: { middlewareMode: true, hmr: false, ws: false }, appType: 'custom', logLevel: 'error', optimizeDeps: { noDiscovery: true } });
const { drawingWords } = await vite.ssrLoadModule('/src/plates/words.ts');
await vite.close();
// A list a line, so that a change of one word is a change of one line.
const text = JSON.stringify(drawingWords, null, 1).replace(/\[[^\]]*\]/g, (list) => JSON.stringify(JSON.parse(list)).replaceAll(',', ', '));
writeFileSync(process.argv[2], `${text}\n`);
