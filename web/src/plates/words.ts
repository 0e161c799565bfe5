import { bodies } from './bodies';
import { tones } from './bodies/pen';
import { leafSigns } from './marks';
import { drawn as plants } from './plants/plants';
import { partWords } from './things';

/**
 * What an animal or a part may be drawn with beside its signs, and each word there is for it:
 * said here once. A number is written as its digits, a colour of its own as #rrggbb.
 */
const traits: Record<string, string[]> = {
  colour: Object.keys(tones),
  wings: ['fringed', 'roof', 'moth', 'lace', 'banded'],
  legs: ['0', '6', '8'],
  'front-legs': ['long'],
  prolegs: ['2', '5', '7'],
  marks: [
    'none',
    'bands',
    'bristles',
    'cocoons',
    'cross',
    'curled',
    'horn',
    'shiny',
    'spots',
    'stripes',
    'tufts',
    'two-spots',
    'zigzag',
  ],
  shape: ['capsid', 'chafer', 'dome', 'flea', 'flower', 'leaf-foot', 'long', 'oval', 'pear', 'shield', 'worm'],
  wax: ['dusty', 'meal', 'ribbed-sac', 'shaggy', 'short', 'tuft', 'wool'],
  tubes: ['2'],
  head: ['black', 'brown', 'none'],
  cover: ['boat', 'clear', 'dome', 'flat', 'half-ball', 'nipple', 'oyster', 'pear', 'round-flat', 'small', 'waxy'],
  tails: ['long', 'short'],
  feelers: ['long'],
  form: ['apple', 'bulb', 'carrot'],
  posture: ['wilted'],
  roots: ['brown'],
  soil: ['dry'],
  grains: ['white'],
  pores: ['rows'],
  crust: ['rim'],
};

/** Every word a drawing of the book may hold; kept for Go by scripts/words.mjs. */
export const drawingWords = {
  subjects: [
    'flower',
    'fruit',
    'leaf',
    'leaf-pest',
    'pest',
    'plant',
    'pot',
    'root',
    'root-pest',
    'shoot-pest',
    'stem',
    'stem-pest',
    'turf',
  ],
  plants: [...plants].sort(),
  leaves: [
    'compound',
    'lance',
    'lobed',
    'needle',
    'ovate',
    'pad',
    'palmate',
    'palmate-lobed',
    'pinnate',
    'pinnate-lobed',
    'round',
    'strap',
    'trifoliate',
  ],
  bodies: ['none', ...Object.keys(bodies).sort()],
  signs: {
    leaf: [...leafSigns].sort(),
    ...Object.fromEntries(Object.entries(partWords).map(([part, of]) => [part, Object.keys(of).sort()])),
  },
  traits,
  slide: ['gap_um', 'lobe_um', 'lobes', 'opening_um', 'plates', 'pores'],
};
