// The types of the API for the page: types.mjs OUT. Examples are for readers of the
// description; as comments they were half of what is generated here.
import { readFileSync, writeFileSync } from 'node:fs';
import openapiTS, { astToString } from 'openapi-typescript';

const bare = (x, inProperties = false) => {
  if (Array.isArray(x)) return x.map((y) => bare(y));
  if (!x || typeof x !== 'object') return x;
  const own = Object.entries(x).filter(([k]) => inProperties || (k !== 'example' && k !== 'examples'));
  return Object.fromEntries(own.map(([k, v]) => [k, bare(v, k === 'properties' && !inProperties)]));
};
const description = bare(JSON.parse(readFileSync('../internal/httpapi/openapi.json', 'utf8')));
writeFileSync(process.argv[2], astToString(await openapiTS(description)));
