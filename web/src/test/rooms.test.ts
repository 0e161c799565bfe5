import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';

const root = resolve(import.meta.dirname, '..');
const files = (dir: string): string[] =>
  readdirSync(dir).flatMap((f) => {
    const p = join(dir, f);
    return statSync(p).isDirectory() ? files(p) : /\.tsx?$/.test(f) && !/\.test\.|schema\.d/.test(f) ? [p] : [];
  });

/** What a floor may lean on: rooms on shared pieces, those on drawings and plain pieces, never the other way. */
const below: Record<string, string[]> = {
  api: [],
  ui: ['api'],
  plates: ['api', 'ui'],
  parts: ['api', 'ui', 'plates'],
  test: ['api', 'ui', 'plates', 'parts'],
};
const rooms = readdirSync(root).filter((f) => !(f in below) && f !== 'styles' && statSync(join(root, f)).isDirectory());

/** Lines of the longest function there is; it only ever goes down. */
const longest = 199;

describe('the page', () => {
  it('has no room that leans on another, nor a floor on what stands above it', () => {
    const wrong: string[] = [];
    for (const p of files(root)) {
      const from = relative(root, p).split('/')[0] as string;
      const allowed = rooms.includes(from) ? ['api', 'ui', 'plates', 'parts'] : below[from];
      if (!allowed) continue; // the entry itself
      for (const [, spec] of readFileSync(p, 'utf8').matchAll(/from '(\.[^']+)'/g)) {
        const to = relative(root, resolve(p, '..', spec as string)).split('/')[0] as string;
        if (to !== from && !allowed.includes(to)) wrong.push(`${relative(root, p)} → ${to}`);
      }
    }
    expect(wrong).toEqual([]);
  });
  it('has no component and no hook that cannot be read in one sitting', () => {
    const long: string[] = [];
    for (const p of files(root).filter((f) => !f.includes('/plates/'))) {
      let name = '';
      let start = 0;
      readFileSync(p, 'utf8')
        .split('\n')
        .forEach((line, i) => {
          if (/^(export )?(default )?function [A-Za-z]/.test(line)) [name, start] = [line, i];
          if (!line.startsWith('}') || !start) return;
          if (i - start > longest) long.push(`${relative(root, p)}: ${name}`);
          start = 0;
        });
    }
    expect(long).toEqual([]);
  });
  it('calls the desk with the types it gave', () => {
    const loose = files(root).filter((p) => /:\s*any\b|as any\b|<any>/.test(readFileSync(p, 'utf8')));
    expect(loose.map((p) => relative(root, p))).toEqual([]);
  });
});
