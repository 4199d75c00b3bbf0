import type { MethodId } from '../catalogue';
import { blendPlan, type BlendPlan, type BlendStep, type Lab, type Tones, type TopFinish } from '../colour';
import { colourAfterFirst, firstOf, standingOf, TRIED, type Tried } from '../shelf';
import { memory, sourced } from '../sources';
import type { Damage } from './types';

const moved = (tones: Tones, to: (lab: Lab) => Lab): Tones => ({
  ...tones,
  ground: to(tones.ground),
  mean: to(tones.mean),
  line: to(tones.line),
});

/** Where the colouring begins: bare wood after what is done to it first, or the place as it was last seen. @param species of what is coloured, where it is known */
export function colourStart(
  { first, tried = [] }: Damage,
  bare: Tones,
  methods: readonly MethodId[],
  species?: string,
): Tones {
  const standing = standingOf(tried);
  if (standing.at !== 'colour') {
    const treatment = firstOf(first, methods);
    return treatment === 'none' ? bare : moved(bare, (lab) => colourAfterFirst(lab, treatment, species));
  }
  const by = standing.lab.map((v, i) => v - (bare.mean[i] ?? v));
  return moved(bare, ([l, a, b]) => [
    Math.min(100, Math.max(0, l + (by[0] ?? 0))),
    a + (by[1] ?? 0),
    b + (by[2] ?? 0),
  ]);
}

const SAY = 'Say on the Blend page how it looks, or photograph it there: the rest is planned from that.';
const WIPE: BlendStep = {
  id: 'wipe',
  title: 'Wipe test',
  detail: `${TRIED.wipe.ask} What vanishes wet needs no colour. ${SAY}`,
  waitMin: sourced(20, memory('mineral spirits are gone after some twenty minutes')),
};
const LOOK: BlendStep = {
  id: 'look',
  title: 'Look at the first coat',
  detail: `${TRIED.coat.ask} ${SAY}`,
  waitMin: sourced(0, memory('looking takes no drying')),
};
const COLOURING: readonly BlendStep['id'][] = ['dye', 'lines', 'glaze', 'toner'];

/** The steps with what is asked on the way, as long as nobody has said it: how it looks wet, and after the first coat of colour. */
function withQuestions(steps: readonly BlendStep[], tried: readonly Tried[]): BlendStep[] {
  const said = (what: Tried['what']): boolean => tried.some((t) => t.what === what);
  const first = steps.findIndex((s) => COLOURING.includes(s.id));
  if (first < 0) return [...steps];
  return [
    ...(said('wipe') || said('coat') ? [] : [WIPE]),
    ...steps.slice(0, first + 1),
    ...(said('coat') ? [] : [LOOK]),
    ...steps.slice(first + 1),
  ];
}

/** The colouring of a repair from where it stands; nothing where it was found that none is needed. @throws RangeError for colours that cannot be */
export function colouringOf(
  damage: Damage,
  old: Tones,
  bare: Tones,
  finish: TopFinish,
  methods: readonly MethodId[],
  species?: string,
): BlendPlan | undefined {
  const { tried = [] } = damage;
  if (standingOf(tried).at === 'done') return undefined;
  const plan = blendPlan(old, colourStart(damage, bare, methods, species), finish);
  return { ...plan, steps: withQuestions(plan.steps, tried) };
}
