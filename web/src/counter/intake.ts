import type { S } from '../api/client';

/** The counter's form as it is typed; days and urgency are text until sent. */
export type Form = {
  grower: string;
  contact: string;
  plant: string;
  host: string;
  form: string;
  place: string;
  mind: string[];
  harvest: string;
  treated: string;
  treatedList: S['Treated'][];
  brought: string;
  story: string;
  urgency: string;
  key: string;
};

export const emptyForm: Form = {
  grower: '',
  contact: '',
  plant: '',
  host: '',
  form: '',
  place: '',
  mind: [],
  harvest: '',
  treated: '',
  treatedList: [],
  brought: '',
  story: '',
  urgency: '0',
  key: '',
};

export const kinds = [
  'annual',
  'perennial',
  'woody',
  'bulb',
  'houseplant',
  'succulent',
  'conifer',
  'palm',
  'fern',
  'orchid',
].map((id) => ({ id, name: id }));
export const places = ['indoors', 'greenhouse', 'balcony', 'garden', 'orchard'].map((id) => ({ id, name: id }));
export const minds = [
  { id: 'bloom', name: 'in flower' },
  { id: 'eaten', name: 'we eat it' },
  { id: 'cat', name: 'cat' },
  { id: 'dog', name: 'dog' },
  { id: 'children', name: 'children' },
  { id: 'pond', name: 'pond' },
];

const back = (day: string, n: number) => {
  const d = new Date(`${day}T12:00:00Z`);
  d.setUTCDate(d.getUTCDate() - n);
  return d.toISOString().slice(0, 10);
};

const weekdays = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'];

/** Reads "soap 9", "oil 2 weeks ago", "copper yesterday", "neem on Tuesday", "sulfur 2026-07-01". */
export function readTreated(
  text: string,
  day: string,
  remedies: { id: string; name: string; ingredient?: string }[],
): S['Treated'][] {
  return text
    .split(/[,;\n]/)
    .map((t) => t.trim())
    .filter(Boolean)
    .map((t) => {
      let n = 0;
      let what = t;
      const iso = t.match(/\d{4}-\d{2}-\d{2}/);
      const ago = t.match(/(\d+)\s*(weeks?|w\b|months?|days?|d\b)?\s*(ago)?\s*$/i);
      const wd = weekdays.findIndex((w) => new RegExp(`\\b${w.slice(0, 3)}`, 'i').test(t));
      if (iso) what = t.replace(iso[0], '');
      else if (/yesterday/i.test(t)) {
        n = 1;
        what = t.replace(/yesterday/i, '');
      } else if (/today/i.test(t)) what = t.replace(/today/i, '');
      else if (ago) {
        n = Number(ago[1]) * (/^w/i.test(ago[2] ?? '') ? 7 : /^m/i.test(ago[2] ?? '') ? 30 : 1);
        what = t.slice(0, ago.index);
      } else if (wd >= 0) {
        const today = new Date(`${day}T12:00:00Z`).getUTCDay();
        n = (today - wd + 7) % 7 || 7;
        what = t
          .replace(/\b(on|last)\b/gi, '')
          .replace(new RegExp(`\\b${(weekdays[wd] as string).slice(0, 3)}\\w*`, 'i'), '');
      }
      what = what.replace(/\s+/g, ' ').trim() || t;
      const low = what.toLowerCase();
      const alias: Record<string, string> = { neem: 'azadirachtin', oil: 'summer-oil', detergent: 'soap', bt: 'btk' };
      const id =
        alias[low] ??
        remedies.find((r) => r.id === low || r.name.toLowerCase() === low)?.id ??
        remedies.find((r) => r.name.toLowerCase().includes(low) && low.length > 3 && !low.includes(' '))?.id;
      return { what, on: iso ? iso[0] : back(day, n), ...(id ? { remedy: id } : {}) };
    });
}

export const treatedText = (list: S['Treated'][] | undefined) =>
  (list ?? []).map((t) => `${t.what || t.remedy} ${t.on}`).join(', ');

export const toIntake = (f: Form, day: string) => ({
  grower: f.grower.trim(),
  contact: f.contact.trim(),
  plant: f.plant.trim(),
  host: f.host,
  form: f.host ? '' : f.form,
  place: f.place,
  inBloom: f.mind.includes('bloom'),
  edible: f.mind.includes('eaten'),
  cat: f.mind.includes('cat'),
  dog: f.mind.includes('dog'),
  children: f.mind.includes('children'),
  pond: f.mind.includes('pond'),
  ...(f.mind.includes('eaten') && f.harvest !== '' ? { daysToHarvest: Number(f.harvest) } : {}),
  treated: f.treated.trim() ? (f.treatedList.length ? f.treatedList : readTreated(f.treated, day, [])) : [],
  brought: f.brought.trim(),
  story: f.story.trim(),
  urgency: Number(f.urgency),
});

export const fromIntake = (i: S['Intake']): Form => ({
  ...emptyForm,
  grower: i.grower,
  contact: i.contact ?? '',
  plant: i.plant,
  host: i.host ?? '',
  form: i.form ?? '',
  place: i.place,
  mind: [
    i.inBloom && 'bloom',
    i.edible && 'eaten',
    i.cat && 'cat',
    i.dog && 'dog',
    i.children && 'children',
    i.pond && 'pond',
  ].filter(Boolean) as string[],
  harvest: i.daysToHarvest === undefined ? '' : String(i.daysToHarvest),
  treated: treatedText(i.treated),
  treatedList: i.treated ?? [],
  brought: i.brought ?? '',
  story: i.story,
  urgency: String(i.urgency ?? 0),
});
