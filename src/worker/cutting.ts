import type { JobContext } from '@/core/check';
import { learnedFrom } from '@/core/figures';
import {
  DEFAULT_SHOP,
  glueGroups,
  neededFromStock,
  nestInput,
  rackPlan,
  sheetFrame,
  type NeededPatch,
  type SheetFrame,
} from '@/core/job';
import { nestPatches, nestSpares, type NestPlan, type Spare } from '@/core/nest';
import { isOf } from '@/records/reading';
import type { Store } from '@/records/store';
import type { Stored } from '@/records/types';

/** What is cut from which sheet and board, over all pieces in work. */
export type CuttingPlan = {
  patches: NeededPatch[];
  nest: NestPlan;
  /** One or more of each patch again, and for how many there is no room. */
  spares: Spare[];
  without: number;
  /** What a sheet's fractions count on, by its name. */
  frames: Record<string, SheetFrame>;
  /** Damages that are glued in one go. */
  groups: string[][];
  rack: ReturnType<typeof rackPlan>;
};

/** A sheet with the size of its photo, read only where its scale is known. */
async function framed(
  store: Store,
  veneer: Stored<'veneer'>,
): Promise<{ veneer: Stored<'veneer'>; frame: SheetFrame }> {
  const { pictureId, photoWideMm } = veneer.body;
  const photo = pictureId && photoWideMm !== undefined ? await store.get('picture', pictureId) : undefined;
  return { veneer, frame: sheetFrame(veneer.body, photo?.body) };
}

/** The cutting plan over what is stored now. */
export async function cuttingOf(store: Store, context: JobContext): Promise<CuttingPlan> {
  const { records } = await store.listAll(['piece', 'face', 'damage', 'veneer', 'lumber', 'log', 'shop']);
  const veneers = records.filter((r) => isOf(r, 'veneer'));
  const [shopRecord] = records.filter((r) => isOf(r, 'shop'));
  const learned = learnedFrom(records.filter((r) => isOf(r, 'log')).map((l) => l.body));
  const shop = { ...(shopRecord?.body ?? DEFAULT_SHOP), learned };
  const cut = new Set(veneers.flatMap((v) => (v.body.cuts ?? []).flatMap((c) => c.damageId ?? [])));
  const { patches, blocks } = neededFromStock(
    records.filter((r) => isOf(r, 'piece')),
    records.filter((r) => isOf(r, 'face')),
    records.filter((r) => isOf(r, 'damage')),
    shop,
    cut,
  );
  const sheets = await Promise.all(veneers.map((v) => framed(store, v)));
  const boards = records.filter((r) => isOf(r, 'lumber'));
  const input = nestInput(patches, sheets);
  const nest = await nestPatches(input, context);
  const { spares, without, sheets: left } = await nestSpares(input, nest, shop.sparePatches ?? 0, context);
  return {
    patches,
    nest: { ...nest, sheets: left },
    spares,
    without,
    frames: Object.fromEntries(sheets.map(({ veneer, frame }) => [veneer.id, frame])),
    groups: glueGroups(patches, shop).map((group) => group.map((p) => p.damageId)),
    rack: rackPlan(blocks, boards),
  };
}
