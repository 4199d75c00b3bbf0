import { deltaE00, type Lab } from '../colour';
import { labOf, mixtureOf, partOf, type Colourant, type Recipe } from '../pigment';

/** A fill is made of a ground and of lines drawn into it. */
export type MixAim = 'ground' | 'line';
export type OwnMix = { colourId: string; parts: number }[];
export type Mixes = Partial<Record<MixAim, OwnMix>>;

/** More parts of one colour nobody counts. */
export const MOST_OWN_PARTS = 12;

/** What a mixture by hand looks like; nothing while no part is in it. What is no longer on the shelf falls out. */
export function mixedByHand(mix: OwnMix, target: Lab, colourants: readonly Colourant[]): Recipe | undefined {
  const members = mix.flatMap(({ colourId, parts }) => {
    const colourant = colourants.find((c) => c.id === colourId);
    return colourant && parts > 0 ? [{ colourant, parts }] : [];
  });
  if (members.length === 0) return undefined;
  const lab = labOf(mixtureOf(members.map(({ colourant, parts }) => ({ part: partOf(colourant), parts }))));
  return {
    parts: members.map(({ colourant, parts }) => ({ id: colourant.id, parts })),
    lab,
    deltaE00: deltaE00(lab, target),
  };
}

/** A mixture with so many parts of one colour in it. */
export const withParts = (mix: OwnMix, colourId: string, parts: number): OwnMix => {
  const others = mix.filter((m) => m.colourId !== colourId);
  if (parts <= 0) return others;
  return mix.some((m) => m.colourId === colourId)
    ? mix.map((m) => (m.colourId === colourId ? { colourId, parts } : m))
    : [...others, { colourId, parts }];
};
