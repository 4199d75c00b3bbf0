import { all, is, not, over, yes } from './facts';
import type { Rule } from './rule';
import { conserve, painted, rule, showClear } from './ruleKit';

const carving = is('kind', 'lostCarving');
const moulding = is('kind', 'missingMoulding');
const foot = is('kind', 'missingFoot');
const runner = is('kind', 'wornRunner');

/** Rules for parts that are lost or worn. */
// prettier-ignore
export const PARTS_RULES: readonly Rule[] = [
  rule('part-pattern', 'for', ['newPart'], yes('patternThere'),
    'There is a good one to trace.', 3),
  rule('part-no-pattern', 'against', ['newPart'], all(is('patternThere', false), conserve),
    'Without a pattern the part would be invented.', 2),
  rule('part-kept', 'against', ['newPart'], yes('pieceKept'),
    'The old part is there and can be put back.', 3),
  rule('part-needed', 'for', ['newPart'], all(foot, not(yes('pieceKept'))),
    'The piece stands on it; a part of wood carries it.', 3),
  rule('carving-putty', 'for', ['epoxyPutty'], all(carving, painted),
    'Cast or shaped wet from its counterpart; paint hides the material.', 3),
  rule('carving-block', 'against', ['dutchman'], carving,
    'A block must still be carved; a part to pattern is carved off the piece.', 2),
  rule('foot-putty', 'against', ['epoxyPutty'], foot,
    'A foot of putty breaks under the piece’s weight.', 3),
  rule('moulding-short', 'for', ['dutchman'], all(moulding, not(over('alongMm', 60))),
    'A short gap is let in and shaped in place.', 2),
  rule('moulding-long', 'against', ['dutchman', 'epoxyPutty'], all(moulding, over('alongMm', 60)),
    'A run this long is quicker and truer as a new length.', 3),
  rule('moulding-putty-paint', 'for', ['epoxyPutty'], all(moulding, painted, not(over('alongMm', 60))),
    'A short gap under paint is drawn along with a profile scraper.', 3),
  rule('runner-part', 'for', ['newPart'], runner,
    'A new runner of hard wood is quick to make and is hidden.', 2),
  rule('runner-conserve', 'for', ['dutchman'], all(runner, conserve),
    'A strip let into the worn groove keeps the old runner.', 3),
  rule('runner-keep', 'against', ['newPart'], all(runner, conserve),
    'The old runner can be kept.', 3),
  rule('runner-deep', 'for', ['dutchman'], all(runner, not(over('depthMm', 4))),
    'The groove is shallow; a strip let in brings it level.', 1),
  rule('parts-clear', 'for', ['newPart'], all(carving, showClear),
    'On a face that shows, only wood looks like wood.', 2),
  rule('part-conserve', 'for', ['newPart'], all(conserve, not(runner)),
    'What is missing is put back, and can be taken off again.', 1),
  rule('leave-parts', 'against', ['leave'], all(is('kind', 'lostCarving', 'missingMoulding'), not(conserve)),
    'The gap breaks the line of the piece.', 3),
  rule('leave-carving-conserve', 'for', ['leave'], all(carving, conserve, is('patternThere', false)),
    'An honest loss is better than an invented carving.', 2),
];
