import { assertRange } from '../check';
import { derived, memory, sourced, type Source, type Sourced } from '../sources';
import type { AdhesiveId } from './kinds';

export type HollowShape = 'gap' | 'wedge' | 'bored' | 'tenon' | 'scoop';

/** Sizes that a shape asks for, in this order. */
export type HollowSize = 'length' | 'width' | 'depth' | 'diameter' | 'inner';

type Shape = {
  label: string;
  help: string;
  sizes: readonly HollowSize[];
  volumeMm3: (s: Record<HollowSize, number>) => number;
  source: Source;
};

/** Hollows that glue has to fill, each with the solid its volume is taken from. */
export const HOLLOWS: Record<HollowShape, Shape> = {
  gap: {
    label: 'Gap, as wide inside',
    help: 'A split or an open glue line with sides that stay as far apart.',
    sizes: ['length', 'width', 'depth'],
    volumeMm3: ({ length, width, depth }) => length * width * depth,
    source: derived('length × width × depth'),
  },
  wedge: {
    label: 'Gap that closes inside',
    help: 'A split that is widest at the face, or a splinter that is hinged at one side.',
    sizes: ['length', 'width', 'depth'],
    volumeMm3: ({ length, width, depth }) => (length * width * depth) / 2,
    source: derived('half of length × width × depth'),
  },
  bored: {
    label: 'Bored hole',
    help: 'A screw hole, a dowel hole, a nail hole drilled clean.',
    sizes: ['diameter', 'depth'],
    volumeMm3: ({ diameter, depth }) => (Math.PI / 4) * diameter ** 2 * depth,
    source: derived('π/4 · diameter² · depth'),
  },
  tenon: {
    label: 'Round tenon in its hole',
    help: 'What is left between a loose rung or dowel and its hole.',
    sizes: ['diameter', 'inner', 'depth'],
    volumeMm3: ({ diameter, inner, depth }) => (Math.PI / 4) * (diameter ** 2 - inner ** 2) * depth,
    source: derived('π/4 · (hole² − tenon²) · depth'),
  },
  scoop: {
    label: 'Gouge or torn place',
    help: 'A hollow that is deepest in its middle, taken as half of an ellipsoid.',
    sizes: ['length', 'width', 'depth'],
    volumeMm3: ({ length, width, depth }) => (Math.PI / 6) * length * width * depth,
    source: derived('π/6 · length · width · depth, half of an ellipsoid'),
  },
};

/** What the fields are called. */
export const HOLLOW_SIZES: Record<HollowSize, string> = {
  length: 'Length of the hollow',
  width: 'Width of the hollow',
  depth: 'Depth of the hollow',
  diameter: 'Diameter of the hole',
  inner: 'Diameter of the tenon',
};

/**
 * Volume of a hollow, mm³.
 *
 * @param sizes mm, 0…2000; those that the shape does not ask for are not looked at
 * @throws RangeError for sizes out of range and a tenon as thick as its hole
 */
export function hollowMm3(shape: HollowShape, sizes: Record<HollowSize, number>): number {
  const { sizes: asked, volumeMm3 } = HOLLOWS[shape];
  for (const size of asked)
    assertRange(`The ${HOLLOW_SIZES[size].toLowerCase()}`, sizes[size], 'mm', 0, 2000);
  if (shape === 'tenon' && sizes.inner >= sizes.diameter) {
    throw new RangeError(
      `The tenon is ${sizes.inner} mm thick and its hole ${sizes.diameter} mm wide: there is no hollow. Spread glue on it as on any joint, or measure again.`,
    );
  }
  return volumeMm3(sizes);
}

/** Glues that heat themselves as they set: more at once than this boils, cracks and shrinks away. mm. */
export const POUR_MM = {
  epoxy: sourced(
    10,
    memory('slow epoxy is poured in layers of about 10 mm, each once the one before has gelled'),
  ),
  epoxyFast: sourced(5, memory('fast epoxy grows hot sooner: layers of about 5 mm')),
  caGel: sourced(2, memory('thicker cyanoacrylate does not set through; layers of about 2 mm')),
} satisfies Partial<Record<AdhesiveId, Sourced>>;

export type Pours = { layers: number; eachMm: number; source: Source };

/** In how many layers a hollow of this depth is filled, and how deep each is; one for a glue that sets through. */
export function poursFor(glue: AdhesiveId, depthMm: number): Pours | undefined {
  const limits: Partial<Record<AdhesiveId, Sourced>> = POUR_MM;
  const most = limits[glue];
  if (!most || depthMm <= 0) return undefined;
  const layers = Math.ceil(depthMm / most.value - 1e-9);
  return { layers, eachMm: depthMm / layers, source: most.source };
}
