// The licences of all that ships inside the program: fonts, the page's packages and the Go
// modules, each with its text, into dist/licences.txt. The program prints it too.
import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const textIn = (dir) =>
  readdirSync(dir)
    .filter((f) => /^(licen[cs]e|copying|notice|ofl)/i.test(f) && !/\.(go|js|ts|json)$/.test(f))
    .sort()
    .map((f) => readFileSync(join(dir, f), 'utf8').trim())
    .join('\n\n');

const found = [];
const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
for (const [path, p] of Object.entries(lock.packages)) {
  if (!path || p.dev || p.devOptional || p.optional || !existsSync(path)) continue;
  found.push({ name: path.replace(/^.*node_modules\//, ''), version: p.version, says: p.license, text: textIn(path) });
}
const modules = execFileSync('go', ['list', '-e', '-deps', '-f', '{{with .Module}}{{if not .Main}}{{.Path}}\t{{.Version}}\t{{.Dir}}{{end}}{{end}}', './cmd/botanik'], { cwd: '..', encoding: 'utf8' });
for (const line of new Set(modules.split('\n').filter(Boolean))) {
  const [name, version, dir] = line.split('\t');
  found.push({ name, version, text: textIn(dir) });
}
const goroot = execFileSync('go', ['env', 'GOROOT'], { encoding: 'utf8' }).trim();
found.push({ name: 'The Go runtime and standard library', version: '', text: textIn(goroot) });

const bare = found.filter((x) => !x.text && !x.says).map((x) => x.name);
if (bare.length) throw new Error(`no licence was found of ${bare.join(', ')}`);
found.sort((a, b) => a.name.localeCompare(b.name));
const rule = '='.repeat(78);
writeFileSync(
  process.argv[2],
  `What ships inside this program, with its licences: ${found.length} packages.\n\n${found.map((x) => `${rule}\n${x.name} ${x.version}\n\n${x.text || `Licence: ${x.says}`}`).join('\n\n')}\n`,
);
