import { api, type S, unwrap } from '../api/client';

/** The counter's form as it is typed; days and urgency are text until sent. */
export type Form = {
  grower: string;
  /** Which grower of the desk it is, where somebody chose one. */
  person: string;
  contact: string;
  plant: string;
  host: string;
  form: NonNullable<S['Intake']['form']>;
  place: S['Intake']['place'] | '';
  /** Square of the district it grows in. */
  square: string;
  mind: string[];
  /** The book says that this plant is eaten: then leaving it unticked says no. */
  asksEaten: boolean;
  harvest: string;
  treated: string;
  /** What the desk read in `treated`, and the text it read it in. */
  treatedList: S['Treated'][];
  treatedFor: string;
  brought: string;
  story: string;
  urgency: string;
  key: string;
};

export const emptyForm: Form = {
  grower: '',
  person: '',
  contact: '',
  plant: '',
  host: '',
  form: '',
  place: '',
  square: '',
  mind: [],
  asksEaten: false,
  harvest: '',
  treated: '',
  treatedList: [],
  treatedFor: '',
  brought: '',
  story: '',
  urgency: '0',
  key: '',
};

export const householdFacts = [
  { id: 'bloom', name: 'in flower' },
  { id: 'eaten', name: 'we eat it' },
  { id: 'cat', name: 'cat' },
  { id: 'dog', name: 'dog' },
  { id: 'children', name: 'children' },
  { id: 'pond', name: 'pond' },
];

export const treatedText = (list: S['Treated'][] | undefined) =>
  (list ?? []).map((t) => `${t.what || t.remedy} ${t.on}`).join(', ');

/** Has the desk read what was sprayed, unless it has read just that text already. */
export async function readEarlier(form: Pick<Form, 'treated' | 'treatedFor' | 'treatedList'>): Promise<S['Treated'][]> {
  const text = form.treated.trim();
  if (!text) return [];
  if (form.treatedFor === form.treated) return form.treatedList;
  return unwrap<S['Treated'][]>(api.POST('/api/v1/earlier', { body: { text } }));
}

/** What follows from a plant the book knows: what is eaten is ticked, and a room plant stands in a room until somebody says otherwise. */
export function follow(f: Form, roomForms: string[], host?: { id: string; form: string; eaten?: string }): Form {
  const eaten = !!host?.eaten;
  const mind = f.mind.filter((m) => m !== 'eaten' || !f.asksEaten || eaten);
  const room = host && roomForms.includes(host.form);
  return {
    ...f,
    host: host?.id ?? '',
    asksEaten: eaten,
    mind: eaten && !f.asksEaten && !mind.includes('eaten') ? [...mind, 'eaten'] : mind,
    place: f.place === '' && room ? 'indoors' : f.place,
  };
}

/** The form as the desk takes it; a place left out is named by the desk as missing. */
export const toIntake = (f: Form, treated: S['Treated'][]): S['Intake'] => ({
  grower: f.grower.trim(),
  ...(f.person ? { person: f.person } : {}),
  contact: f.contact.trim(),
  plant: f.plant.trim(),
  host: f.host,
  form: f.host ? '' : f.form,
  place: f.place as S['Intake']['place'],
  ...(f.square?.trim() ? { square: f.square.trim().toUpperCase() } : {}),
  inBloom: f.mind.includes('bloom'),
  edible: f.mind.includes('eaten'),
  ...(f.asksEaten && !f.mind.includes('eaten') ? { notEaten: true } : {}),
  cat: f.mind.includes('cat'),
  dog: f.mind.includes('dog'),
  children: f.mind.includes('children'),
  pond: f.mind.includes('pond'),
  ...(f.mind.includes('eaten') && f.harvest !== '' ? { daysToHarvest: Number(f.harvest) } : {}),
  treated,
  brought: f.brought.trim(),
  story: f.story.trim(),
  urgency: Number(f.urgency),
});

export const fromIntake = (i: S['Intake']): Form => ({
  ...emptyForm,
  grower: i.grower,
  person: i.person ?? '',
  contact: i.contact ?? '',
  plant: i.plant,
  host: i.host ?? '',
  form: i.form ?? '',
  place: i.place,
  square: i.square ?? '',
  mind: [
    i.inBloom && 'bloom',
    i.edible && 'eaten',
    i.cat && 'cat',
    i.dog && 'dog',
    i.children && 'children',
    i.pond && 'pond',
  ].filter(Boolean) as string[],
  asksEaten: !!i.notEaten || !!i.edible,
  harvest: i.daysToHarvest === undefined ? '' : String(i.daysToHarvest),
  treated: treatedText(i.treated),
  treatedList: i.treated ?? [],
  treatedFor: treatedText(i.treated),
  brought: i.brought ?? '',
  story: i.story,
  urgency: String(i.urgency ?? 0),
});
