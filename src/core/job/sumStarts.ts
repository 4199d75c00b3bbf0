import { attempt } from '../check';
import { boundingBox } from '../geometry';
import { memory, practice, sourced } from '../sources';
import { gravityOf, woodMovement } from '../wood';
import { boardThickMm, hollowDepthMm } from './glued';
import type { Repair } from './repairs';
import type { Piece } from './types';

const START = memory('where a field begins before anything is measured; measure yours');
/** Sizes that nobody has measured yet. */
export const UNKNOWN = {
  holeMm: sourced(8, START),
  areaMm2: sourced(200, START),
  jointMm: sourced(300, START),
  gapMm: sourced(1, START),
  acrossMm: sourced(200, START),
  roomMm: sourced(100, START),
  standMm: {
    wide: sourced(500, START),
    deep: sourced(400, START),
    gap: sourced(2, START),
    foot: sourced(40, START),
  },
  proudMm: sourced(0.5, practice('a repair is left proud and levelled')),
  shadowMm: sourced(5, START),
  lampDeg: sourced(10, memory('a lamp laid low beside the work')),
};
/** A joint that gapes in its middle has about so much of it a quarter along: an arc. */
const QUARTER_SHARE = sourced(0.75, memory('an arc, three quarters of its rise a quarter along'));
/** Blocks that strips are sawn from, the saw, and what is planed off. */
const STRIPS = {
  blockWideMm: sourced(40, START),
  blockThickMm: sourced(25, START),
  kerfMm: sourced(1.2, memory('a band saw for small work takes about 1.2 mm')),
  planedMm: sourced(0.5, memory('a scraper takes half a millimetre off a sawn slice')),
  leastThickMm: sourced(1, memory('sawn slices are not made thinner than a millimetre')),
  spares: sourced(3, practice('allow spares for breakage')),
};
const BANDING = {
  wideMm: sourced(6, START),
  stockMm: sourced(900, START),
  kerfMm: sourced(0.5, memory('a fine back saw')),
  cornerDeg: sourced(90, practice('most frames are square')),
  spares: sourced(1, practice('make one to spare')),
};
const PART = {
  thickMm: sourced(20, START),
  boardLongMm: sourced(1000, START),
  boardWideMm: sourced(150, START),
  kerfMm: sourced(1, memory('a band saw or bow saw for curves')),
  spares: sourced(1, practice('make one and a spare')),
};
const SCREW = {
  gauge: sourced(8, START),
  lengthMm: sourced(20, START),
  throughMm: sourced(3, memory('the leaf of a hinge')),
  metricMm: sourced(4, START),
  coreMm: sourced(3, START),
  leastMm: sourced(6, START),
  leftMm: sourced(3, practice('the point stays clear of the other face')),
};
const DRAWER = {
  wideMm: sourced(400, START),
  highMm: sourced(120, START),
  lengthMm: sourced(350, START),
  playMm: sourced(1, START),
  growsMm: sourced(2, memory('a side of 120 mm moves about two millimetres over the year')),
};
/** A sliver goes in no deeper than it can be wedged. mm. */
const SLIVER_DEEP_MM = sourced(12, memory('deeper a sliver breaks before it is down'));
/** Bar clamps reckoned with where none is owned yet. */
const CLAMPS_TO_GET = sourced(6, memory('one for every hand’s breadth of a table top’s length, and a spare'));

/** How much higher a drawer's sides become from the driest air of its home to the dampest; where those are known. */
function sideGrowsMm(species: string, home: Piece['home']): number {
  const grown =
    home && attempt(() => woodMovement({ species, cut: 'flat', widthMm: DRAWER.highMm.value, from: home.dry, to: home.damp })); // prettier-ignore
  return grown?.ok ? grown.value.changeMm : DRAWER.growsMm.value;
}

/** Where the sums of a repair begin, as far as the survey knows. */
export function sumStarts({ damage, face, survey, treated }: Repair) {
  const known = survey.ok ? survey.value : undefined;
  const { measures, lengthMm, gapMm, diameterMm } = known ?? {};
  const box = known ? boundingBox(known.board.plane.outline) : undefined;
  const place = known ? boundingBox(known.outline) : undefined;
  const boardMm = boardThickMm(face?.body);
  const holeMm = UNKNOWN.holeMm.value;
  const gap = gapMm ?? UNKNOWN.gapMm.value;
  const acrossMm = box ? Math.round(Math.min(box.right - box.left, box.bottom - box.top)) : UNKNOWN.acrossMm.value; // prettier-ignore
  const growsMm = sideGrowsMm(face?.body.species ?? '', treated.home);
  const veneerMm = face && face.body.build !== 'solid' ? face.body.veneerMm : 0;
  return {
    boardMm,
    species: face?.body.species ?? '',
    depthMm: hollowDepthMm(damage.body, face?.body),
    holeMm: diameterMm ?? Math.min(measures?.alongMm ?? holeMm, measures?.acrossMm ?? holeMm),
    outline: known?.outline ?? [],
    faceMm: known?.board.plane.outline ?? [],
    grainDeg: known?.grainDeg ?? 0,
    jointMm: Math.round(lengthMm ?? measures?.alongMm ?? UNKNOWN.jointMm.value),
    gapMm: gap,
    /** At five places along the joint. */
    gapsMm: [0, gap * QUARTER_SHARE.value, gap, gap * QUARTER_SHARE.value, 0] as const,
    boardsMm: acrossMm / 2,
    roomMm:
      box && place
        ? Math.max(0, Math.round(Math.min(place.left - box.left, box.right - place.right, place.top - box.top, box.bottom - place.bottom))) // prettier-ignore
        : UNKNOWN.roomMm.value,
    veneerMm,
    sliverMm: Math.min(boardMm, SLIVER_DEEP_MM.value),
    strips: {
      highMm: boardMm,
      thickMm: Math.max(STRIPS.leastThickMm.value, veneerMm),
      blockWideMm: STRIPS.blockWideMm.value,
      blockThickMm: STRIPS.blockThickMm.value,
      kerfMm: STRIPS.kerfMm.value,
      planedMm: STRIPS.planedMm.value,
      spares: STRIPS.spares.value,
    },
    stand: {
      wideMm: UNKNOWN.standMm.wide.value,
      deepMm: UNKNOWN.standMm.deep.value,
      gapMm: UNKNOWN.standMm.gap.value,
      footMm: UNKNOWN.standMm.foot.value,
    },
    proudMm: UNKNOWN.proudMm.value,
    shadowMm: UNKNOWN.shadowMm.value,
    lampDeg: UNKNOWN.lampDeg.value,
    clampsToGet: CLAMPS_TO_GET.value,
    banding: {
      wideMm: BANDING.wideMm.value,
      stockMm: BANDING.stockMm.value,
      kerfMm: BANDING.kerfMm.value,
      cornerDeg: BANDING.cornerDeg.value,
      spares: BANDING.spares.value,
    },
    part: {
      thickMm: veneerMm > 0 ? veneerMm : (face?.body.boardMm ?? PART.thickMm.value),
      boardLongMm: PART.boardLongMm.value,
      boardWideMm: PART.boardWideMm.value,
      kerfMm: PART.kerfMm.value,
      spares: PART.spares.value,
    },
    screw: {
      gauge: SCREW.gauge.value,
      lengthMm: Math.min(SCREW.lengthMm.value, Math.max(SCREW.leastMm.value, Math.floor(boardMm + SCREW.throughMm.value - SCREW.leftMm.value))), // prettier-ignore
      throughMm: SCREW.throughMm.value,
      metricMm: SCREW.metricMm.value,
      coreMm: SCREW.coreMm.value,
      specificGravity: gravityOf(face?.body.species ?? ''),
    },
    drawer: {
      wideMm: DRAWER.wideMm.value,
      highMm: DRAWER.highMm.value,
      lengthMm: DRAWER.lengthMm.value,
      playMm: DRAWER.playMm.value,
      /** A side that is free over the year. */
      sideMm: Math.floor(DRAWER.highMm.value - 2 * DRAWER.playMm.value - growsMm),
      growsMm,
    },
    oldGlue: damage.body.answers.oldGlue ?? ('unknown' as const),
  };
}

export type SumStarts = ReturnType<typeof sumStarts>;
