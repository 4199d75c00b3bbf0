import type { MethodId } from '../method';
import type { Step } from './steps';

/** A step whose wait is the glue's own: clamped until it holds, then left until it can be worked on. */
export type GluedStep = Step & { glued?: boolean };

const step = (
  key: string,
  phase: Step['phase'],
  title: string,
  detail: string,
  attended: number,
  unattended?: number,
): GluedStep => ({
  key,
  phase,
  title,
  detail,
  attended,
  ...(unattended === undefined ? {} : { unattended }),
});

const glue = (phase: Step['phase'], title: string, detail: string, attended: number): GluedStep => ({
  ...step('glue', phase, title, detail, attended),
  glued: true,
});

const dryRun = step('dryRun', 'structure', 'Dry run', 'All clamps and blocks on once without glue; look along it for twist.', 10); // prettier-ignore
const levelled = step('level', 'level', 'Plane and scrape level', 'When the glue is hard. Plane with the grain, then a scraper; spare the wood around.', 15); // prettier-ignore

/** Steps of repairs to structure, of let-in wood and of surfaces. Attended minutes are from memory, for a careful hand. */
// prettier-ignore
export const WOOD_STEPS: Partial<Record<MethodId, GluedStep[]>> = {
  glueSplit: [
    step('clean', 'structure', 'Clean the split', 'Blow and brush it out; no knife that takes wood. Wax goes with a drop of mineral spirits; let it dry.', 15),
    dryRun,
    glue('structure', 'Glue and clamp the split', 'Work glue along the whole crack by syringe or by flexing it; close it by hand, then clamps across with blocks. Wipe at once.', 15),
  ],
  screwSplit: [
    step('open', 'structure', 'Open the split on its screw', 'Turn the screw in until the crack opens a hair; no more.', 5),
    glue('structure', 'Glue, screw out, clamp', 'Run glue in, back the screw out, wipe it, close and clamp. Wax the screw for later.', 15),
    step('pilot', 'reassemble', 'Re-drive the screw', 'Bore a pilot hole of the screw’s core first.', 5),
  ],
  sliver: [
    step('taper', 'structure', 'Plane the sliver', 'Same wood, grain along, tapered a little; try it without force.', 25),
    glue('structure', 'Glue the sliver in', 'In a crack that moves, glue one side only. Leave it proud.', 10),
    levelled,
  ],
  dowelJoint: [
    step('mark', 'structure', 'Mark and drill the dowels', '25 mm deep on each side from one mark; a collar on the bit. Dry run with short loose dowels.', 45),
    dryRun,
    glue('structure', 'Glue and clamp the edge', 'Glue on both edges and in the holes; bars above and below in turn so that it stays flat.', 20),
  ],
  reglueJoint: [
    step('apart', 'structure', 'Take the joint apart', 'Number the parts. Heat and damp, a strap or a spreader; never a hammer on show wood.', 30),
    step('clean', 'structure', 'Clean both sides', 'Scrape and wash old glue off without taking wood; let it dry.', 20, 240),
    dryRun,
    glue('structure', 'Glue and clamp square', 'Both sides thinly; measure the diagonals; wipe squeeze-out at once.', 15),
  ],
  injectJoint: [glue('structure', 'Inject and clamp', 'A fine hole at the back, glue until it shows at the shoulder, clamp.', 15)],
  reglueBreak: [
    step('fit', 'structure', 'Fit the piece dry', 'No splinter in between; mark how the clamps will pull.', 10),
    glue('structure', 'Glue the piece back', 'Thin on both sides; tape and clamps in the direction of the break.', 15),
  ],
  dutchman: [
    step('cut', 'patch', 'Square the loss off', 'Clean lines to a knife and chisel, a flat floor, sides a hair under-cut.', 35),
    step('fit', 'patch', 'Fit the block', 'Grain aligned, growth rings the same way; a little proud.', 25),
    glue('patch', 'Glue the block in', 'Glue on floor and sides; press with a caul.', 10),
    levelled,
  ],
  facePlug: [
    step('bore', 'patch', 'Bore the hole clean', 'To the size of the plug cutter, with a sharp bit and a backing.', 10),
    glue('patch', 'Glue the plug in', 'Grain along the board; tap it home with a block.', 5),
    levelled,
  ],
  dowelPlug: [
    glue('patch', 'Bore and glue the dowel', 'To the dowel’s size; glue in the hole, not on the dowel.', 10),
    levelled,
  ],
  newPart: [
    step('trace', 'structure', 'Trace the good one', 'Both views; note grain and the way it was joined.', 20),
    step('make', 'structure', 'Make the part', 'One and a spare; shape it to the pattern, try it dry.', 90),
    glue('structure', 'Glue the part on', 'As the old one was joined; square and true to the floor.', 15),
  ],
  motifPart: [
    step('trace', 'patch', 'Trace the gap', 'From its counterpart or by rubbing; keep the old lines.', 20),
    step('cut', 'patch', 'Cut the piece to the line', 'Knife or fine saw, edges square, a hair full.', 40),
    glue('patch', 'Press the piece in', 'Release paper, a small caul, a clamp.', 10),
    levelled,
  ],
  newMotif: [
    step('cut', 'patch', 'Cut the motif out', 'Along its own lines with a sharp knife; warm it loose.', 40),
    glue('patch', 'Lay the new motif', 'Release paper, caul, clamps.', 15),
    levelled,
  ],
  steam: [
    step('steam', 'level', 'Steam the dent', 'A drop of water, a damp cloth, the tip of the iron for seconds; again when it has cooled.', 15, 480),
  ],
  sawdustGlue: [
    step('fill', 'bareFill', 'Work dust and glue in', 'Dust of the same piece; sand while tacky so that the gap packs itself.', 10, 120),
  ],
  epoxyFill: [
    step('pour', 'bareFill', 'Mix and pour', 'Backing under it, tint first, mix 2 to 3 min, pour in layers; keep the mixing pot to tell when it is hard.', 25, 960),
    step('level', 'bareFill', 'Level the fill', 'Plane or scrape, then sand.', 20),
  ],
  epoxyCap: [
    step('base', 'bareFill', 'Epoxy base', 'Soak the rim thin, then fill to 2 mm under the surface; score it when hard.', 20, 960),
    step('cap', 'bareFill', 'Stainable cap', 'Filler proud, sand level, try the stain on it.', 20, 180),
  ],
  uvResin: [step('layers', 'bareFill', 'Layers under the lamp', 'Thin layer, lamp, next; scrape level.', 20)],
  oxalicAcid: [
    step('acid', 'bleach', 'Oxalic acid over the panel', 'Warm solution, evenly over the whole panel, until the black is gone.', 20, 60),
    step('rinse', 'bleach', 'Neutralise and rinse', 'Rinse well, more than once; never sand the dry crystals.', 20, 1440),
  ],
  woodBleach: [
    step('one', 'bleach', 'First bleach', 'Equal parts, never mixed in a closed pot; let it dry.', 20, 720),
    step('two', 'bleach', 'Second bleach, neutralise', 'Usually twice; neutralise as the label says.', 25, 1440),
  ],
  toneIn: [
    step('tone', 'blend', 'Tone it in', 'Seal, ground colour, figure lines, toner; judge from standing height.', 35, 60),
  ],
  liftHaze: [
    step('lift', 'finishFill', 'Lift the haze', 'A cloth barely damp with alcohol, never resting; or oil and the finest abrasive. Try a hidden spot.', 15, 60),
  ],
  reviveFinish: [
    step('clean', 'finishFill', 'Clean the old finish', 'Mineral spirits, then a damp cloth; dry.', 20, 60),
    step('pad', 'finishFill', 'Pad on shellac', 'Thin, moving, three passes; polish the next day.', 40, 720),
  ],
  renewFinish: [
    step('strip', 'strip', 'Strip this surface', 'Chemically or with a scraper; rinse as the label says and let it dry.', 45, 480),
    step('coats', 'topCoat', 'Build the finish anew', 'Thin coats, scuffed between.', 45, 1440),
  ],
  pickOut: [
    step('pick', 'strip', 'Pick the specks out', 'Soften, brass brush and point along the pores, wipe.', 45, 60),
  ],
  sealOver: [step('seal', 'seal', 'Block the mark', 'Stain-blocking primer over it, a hand beyond its rim.', 10, 120)],
};
