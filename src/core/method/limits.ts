import { memory, practice, sourced } from '../sources';
import { CRACK_LIMITS } from '../wood';

const cp = (note: string) => practice(note);

/** Every size at which a rule changes its mind, with where it comes from. */
export const LIMITS = {
  /** mm² */
  tinyMm2: sourced(60, memory('a loss the size of a lentil is not seen from standing height once coloured')),
  smallMm2: sourced(150, memory('about the size of a fingernail: the most that is filled without a thought')),
  fillShowsMm2: sourced(
    400,
    memory(
      'about the size of a thumb print, 20 by 20 mm: beyond it a fill is one flat spot from standing height',
    ),
  ),
  fillNeverMm2: sourced(
    1200,
    memory('about the size of a matchbox: nobody fills so much on a show face under a clear finish'),
  ),
  wideDentMm2: sourced(900, memory('a wide shallow fill is seen in raking light')),
  softWaxMm2: sourced(20, memory('soft wax is for nail holes and scratches')),
  tackMm2: sourced(200, memory('a drop of thin cyanoacrylate runs about a finger’s breadth')),
  leaveMm2: sourced(200, memory('larger losses are no longer called wear')),
  oldCutMm2: sourced(150, memory('a smaller old fill is coloured rather than cut out')),
  drawnMm2: sourced(600, memory('grain drawn by hand over a larger place looks painted')),
  epoxyFeatureMm2: sourced(4000, memory('about 60 by 60 mm: a larger pool is a feature no longer')),
  uvMm2: sourced(40, memory('thin layers cure through; wide ones shrink and crack')),
  /** Share of a face. */
  mostLoose: sourced(0.5, memory('more than half of the panel loose')),
  mostSound: sourced(0.25, memory('three quarters of the face still hold')),
  nearlyAllLoose: sourced(0.7, memory('little is left that holds')),
  manyPatches: sourced(
    0.35,
    memory('from about a third of a face on, seams cost more than a sheet; the break-even page works it out'),
  ),
  fewPatches: sourced(0.15, memory('below about a seventh of a face a sheet throws sound veneer away')),
  /** mm */
  patchLeastMm: sourced(
    3,
    cp('a loss of a few millimetres is filled, a larger one is patched on a show face'),
  ),
  openingMm: sourced(3, memory('beyond about 3 mm the old glue has broken away in lumps')),
  deepFillMm: sourced(6, memory('a stainable filler in one hollow deeper than this shrinks and stays soft')),
  bottomMm: sourced(
    4,
    memory('a fill that is melted or pressed in is kept to a few millimetres; below it lies a bottom'),
  ),
  deepGougeMm: sourced(5, memory('a gouge as deep as this is a hole in the light')),
  softWaxDeepMm: sourced(2, memory('soft wax sinks in anything deeper')),
  softWaxGapMm: sourced(1, memory('soft wax is wiped out of a wider gap')),
  epoxyDeepMm: sourced(6, memory('epoxy is for deep voids')),
  pinholeDeepMm: sourced(5, memory('a deep pin-hole swallows any filler that dries')),
  shallowGrooveMm: sourced(4, memory('a groove as shallow as this is brought level with a strip')),
  chunkDeepMm: sourced(
    15,
    memory('a loss deeper than a finger’s breadth takes a block with less work than putty'),
  ),
  nailMm: sourced(3, memory('a nail hole, too small to bore for a plug')),
  uvWideMm: sourced(6, memory('thin layers cure through; wide ones shrink and crack')),
  voidMm: sourced(12, memory('from about a finger’s breadth on it is a void')),
  blockHoleMm: sourced(25, memory('larger round holes are squared off')),
  plugMostMm: sourced(40, memory('plug cutters are made up to about 40 mm')),
  hairlineMm: CRACK_LIMITS.hairlineMm,
  dustMm: sourced(1, memory('dust in glue shrinks out of a wider gap')),
  wideCrackMm: sourced(3, memory('a filler shrinks out of a wider crack')),
  pouredCrackMm: sourced(4, memory('from here on a crack is poured, not filled')),
  nearlyClosedMm: sourced(
    0.6,
    memory('what is left open under hand pressure and no more than this counts as nearly closed'),
  ),
  shortRunMm: sourced(60, memory('a gap of about two inches is shaped in place')),
  /** A stiff fill breaks out by more movement than this over the year, whatever its gap. */
  stillMm: CRACK_LIMITS.stillMm,
  /** Share of a crack's own gap by which it may open and close before a stiff fill gives way. */
  stiffStrain: CRACK_LIMITS.stiffStrain,
  softStrain: CRACK_LIMITS.softStrain,
  /** Veneer, mm */
  thinVeneerMm: sourced(0.8, memory('modern commercial veneer is 0.5 to 0.8 mm')),
  knifeCutMm: sourced(1.2, memory('knife-cut veneer is under about 1.2 mm')),
} as const;
