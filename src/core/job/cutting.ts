import { methodById, type MethodId } from '../catalogue';
import { attempt } from '../check';
import { boundingBox, rotate, type Point, type Polygon } from '../geometry';
import { lumberPlan, type Blanks, type Lumber, type LumberTake } from '../letin';
import { CUT_GAP_MM, type NestInput, type NestPlan } from '../nest';
import { memory, sourced } from '../sources';
import { amountsOf } from './amounts';
import { linksOfChain } from './decide';
import { linkPlansOf } from './links';
import { patchFor } from './press';
import { repairsOf, type Repair } from './repairs';
import { GRAIN_TOLERANCE_DEG, wholeSheet } from './spot';
import { workedSums } from './workedSums';
import { sumStarts } from './sumStarts';
import { damageLabel } from './survey';
import type { Damage, Face, KnownShop, Named, Piece, Veneer } from './types';
import type { Patch } from '../veneer';
import { woodName } from '../wood';

/** What a sheet's fractions count on: what its photo shows, or else its usable size. mm */
export type SheetFrame = { wideMm: number; tallMm: number };

/** @param photo size of its picture, where it has one whose scale is known */
export function sheetFrame(
  { alongMm, acrossMm, photoWideMm }: Veneer,
  photo: { widthPx: number; heightPx: number } | undefined,
): SheetFrame {
  return photo && photoWideMm !== undefined
    ? { wideMm: photoWideMm, tallMm: (photoWideMm * photo.heightPx) / photo.widthPx }
    : { wideMm: alongMm, tallMm: acrossMm };
}

export const onSheetMm = (outline: readonly Point[], { wideMm, tallMm }: SheetFrame): Point[] =>
  outline.map(([x, y]): Point => [x * wideMm, y * tallMm]);
export const inSheet = (outline: Polygon, { wideMm, tallMm }: SheetFrame): Point[] =>
  outline.map(([x, y]): Point => [x / wideMm, y / tallMm]);
/** What is left of a sheet, and what was cut out of it. mm */
export const sheetMm = (
  { outline = wholeSheet(), cuts = [] }: Veneer,
  frame: SheetFrame,
): { outline: Point[]; holes: Point[][] } => ({
  outline: onSheetMm(outline, frame),
  holes: cuts.map((c) => onSheetMm(c.outline, frame)),
});

/** A patch that is still to be cut. */
export type NeededPatch = {
  damageId: string;
  pieceId: string;
  label: string;
  /** Its grain along x. mm */
  outline: Point[];
  species: string;
  thicknessMm: number;
  veneerId?: string;
  spot?: Damage['patch']['spot'];
  /** What it is pressed with, of those that are owned, by kind. */
  clamps: Record<string, number>;
};

/** Blocks that are still to be sawn. */
export type NeededBlocks = {
  damageId: string;
  label: string;
  blanks: Blanks;
  species: string;
  kerfMm: number;
};

/** Everything that was decided and is to be cut from the stock, over all pieces in work. @param cut damages whose patch is cut already */
export function neededFromStock(
  pieces: readonly Named<Piece>[],
  faces: readonly Named<Face>[],
  damages: readonly Named<Damage>[],
  shop: KnownShop,
  cut: ReadonlySet<string>,
): { patches: NeededPatch[]; blocks: NeededBlocks[] } {
  const repairs = pieces
    .filter((p) => !p.body.rest)
    .flatMap((piece) => {
      const own = damages.filter(
        (d) => d.body.pieceId === piece.id && d.body.method && d.body.method !== 'leave',
      );
      return own.length === 0 ? [] : repairsOf(piece, faces, own, shop).map((repair) => ({ piece, repair }));
    });
  const links = repairs.flatMap(({ piece, repair }) =>
    (repair.chain ? linksOfChain(repair.chain) : []).map((method) => ({ piece, repair, method })),
  );
  return {
    patches: links.flatMap(({ piece, repair, method }) =>
      takesPatch(method) && !cut.has(repair.damage.id) ? patchNeeded(piece, repair, method, shop) : [],
    ),
    blocks: links.flatMap(({ piece, repair, method }) => blocksNeeded(piece, repair, method, shop)),
  };
}

/** A patch from the piece itself is cut like one from the shelf. */
export const takesPatch = (method: MethodId): boolean => {
  const { family, needs } = methodById(method);
  return family === 'patch' && needs.includes('veneer');
};

const labelOf = (piece: Named<Piece>, damage: Named<Damage>): string =>
  `${piece.body.name}: ${damageLabel(damage.body)}`;

function patchNeeded(piece: Named<Piece>, repair: Repair, method: MethodId, shop: KnownShop): NeededPatch[] {
  const { damage, face, survey } = repair;
  const patch = patchOfRepair(repair);
  if (!survey.ok || !face || !patch) return [];
  const { veneerId, spot } = damage.body.patch;
  return [
    {
      damageId: damage.id,
      pieceId: piece.id,
      label: labelOf(piece, damage),
      outline: patch.outline.map((p) => rotate(p, -survey.value.board.grainDeg)),
      species: face.body.species,
      thicknessMm: face.body.veneerMm,
      ...(veneerId ? { veneerId } : {}),
      ...(spot ? { spot } : {}),
      clamps: linkPlansOf(repair, shop).find((l) => l.method === method)?.clamps ?? {},
    },
  ];
}

/** The patch of a repair; nothing without an outline to scale, or where its own page says what is wrong with it. */
export function patchOfRepair({ damage, survey, treated }: Repair): Patch | undefined {
  const patch = survey.ok ? attempt(() => patchFor(damage.body, survey.value, treated)) : undefined;
  return patch?.ok ? patch.value : undefined;
}

/** The patches of a piece that are decided, by the names of their damages. */
export const patchesOfPiece = (
  piece: Named<Piece>,
  faces: readonly Named<Face>[],
  damages: readonly Named<Damage>[],
  shop: KnownShop,
): { damageId: string; patch: Patch }[] =>
  repairsOf(
    piece,
    faces,
    damages.filter((d) => d.body.method),
    shop,
  ).flatMap((repair) => {
    const taken = repair.chain && linksOfChain(repair.chain).some(takesPatch);
    const patch = taken ? patchOfRepair(repair) : undefined;
    return patch ? [{ damageId: repair.damage.id, patch }] : [];
  });

function blocksNeeded(
  piece: Named<Piece>,
  repair: Repair,
  method: MethodId,
  shop: KnownShop,
): NeededBlocks[] {
  if (!methodById(method).needs.includes('solidWood')) return [];
  const { species, part } = sumStarts(repair);
  return amountsOf(repair, method, undefined, undefined, workedSums(repair, method, shop)).flatMap(
    (a): NeededBlocks[] =>
      a.of === 'wood' && a.thickMm !== undefined
        ? [
            {
              damageId: repair.damage.id,
              label: labelOf(piece, repair.damage),
              blanks: { alongMm: a.alongMm, acrossMm: a.acrossMm, thickMm: a.thickMm, count: a.count ?? 1 },
              species,
              kerfMm: part.kerfMm,
            },
          ]
        : [],
  );
}

/** A veneer that differs by more is shimmed or levelled; one of like thickness goes first. mm */
const LIKE_MM = sourced(0.3, memory('two sheets of paper make up for it'));

/** What is laid out on what: a chosen sheet goes first, then those of the same wood, the nearest in thickness first. */
export function nestInput(
  patches: readonly NeededPatch[],
  veneers: readonly { veneer: Named<Veneer>; frame: SheetFrame }[],
): NestInput {
  return {
    pieces: patches.map(({ damageId, outline, veneerId, spot, species, thicknessMm }) => {
      const apart = (v: Veneer): number => Math.abs(v.thicknessMm - thicknessMm);
      const alike = veneers
        .filter((v) => v.veneer.id !== veneerId && v.veneer.body.species === species)
        .filter((v) => apart(v.veneer.body) <= LIKE_MM.value)
        .sort((a, b) => apart(a.veneer.body) - apart(b.veneer.body))
        .map((v) => v.veneer.id);
      return {
        id: damageId,
        outline,
        sheets: veneerId ? [veneerId, ...alike] : alike,
        ...(spot && veneerId ? { spot: { ...spot, sheet: veneerId } } : {}),
      };
    }),
    sheets: veneers.map(({ veneer, frame }) => ({ id: veneer.id, ...sheetMm(veneer.body, frame) })),
    gapMm: CUT_GAP_MM.value,
    grainToleranceDegrees: GRAIN_TOLERANCE_DEG.value,
  };
}

/** How the patches of all pieces stand, in words. */
export function cuttingWords(
  patches: number,
  { unplaced, sheets }: Pick<NestPlan, 'unplaced' | 'sheets'>,
): string {
  const many = `${patches} ${patches === 1 ? 'patch is' : 'patches are'} still to be cut`;
  const from = `from ${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'}`;
  return unplaced.length === 0
    ? `${many}, ${from}.`
    : `${many}: ${patches - unplaced.length} ${from}, ${unplaced.length} must be bought.`;
}

/** What a sheet has to offer for a patch. @param length a length in words */
export function neededSizeWords(
  { outline, species, thicknessMm }: NeededPatch,
  length: (mm: number) => string,
): string {
  const { left, right, top, bottom } = boundingBox(outline);
  return `It takes ${woodName(species)}, ${length(right - left)} along × ${length(bottom - top)} across, ${length(thicknessMm)} thick.`;
}

/** Patches that are glued in one go: as many as the clamps of the shop hold at a time, in the order of the list. */
export function glueGroups(patches: readonly NeededPatch[], shop: KnownShop): NeededPatch[][] {
  const owned = (kind: string): number => shop.clamps.find((c) => c.id === kind)?.count ?? 0;
  const groups: { of: NeededPatch[]; used: Map<string, number> }[] = [];
  for (const patch of patches) {
    const wanted = Object.entries(patch.clamps);
    const fits = groups.find(({ used }) =>
      wanted.every(([kind, n]) => (used.get(kind) ?? 0) + n <= owned(kind)),
    );
    const group = fits ?? { of: [], used: new Map<string, number>() };
    if (!fits) groups.push(group);
    group.of.push(patch);
    for (const [kind, n] of wanted) group.used.set(kind, (group.used.get(kind) ?? 0) + n);
  }
  return groups.map((g) => g.of);
}

/** Blocks of all repairs on the boards of the rack, the longest first: what one takes is gone for the next. */
export function rackPlan(
  blocks: readonly NeededBlocks[],
  boards: readonly Named<Lumber>[],
): { needed: NeededBlocks; takes: LumberTake[]; missing: number }[] {
  let left = boards.map(({ id, body: { species, alongMm, acrossMm, thickMm } }) => ({ id, species, alongMm, acrossMm, thickMm })); // prettier-ignore
  return [...blocks]
    .sort((a, b) => b.blanks.alongMm * b.blanks.acrossMm - a.blanks.alongMm * a.blanks.acrossMm)
    .map((needed) => {
      const { blanks, species, kerfMm } = needed;
      const { takes, missing } = lumberPlan({ blanks, boards: left, species, kerfMm });
      left = left.flatMap((board) => {
        const take = takes.find((t) => t.id === board.id);
        return take ? (take.leftMm > 0 ? [{ ...board, alongMm: take.leftMm }] : []) : [board];
      });
      return { needed, takes, missing };
    });
}
