import { useMemo } from 'react';
import { byTime } from '@/core/calendar';
import { methodById, type MethodFamily, type MethodId } from '@/core/catalogue';
import {
  useList,
  useOne,
  useShop,
  type Damage,
  type GlueChoice,
  type Piece,
  type Shop,
  type Stored,
} from '@/records';
import type { Chain } from '@/core/method';
import { glueChoice, isBegun, keptGlue, linksOfChain, repairOf, type Repair } from '@/core/job';

export type PieceView = {
  piece?: Stored<'piece'>;
  faces: Stored<'face'>[];
  damages: Stored<'damage'>[];
  log: Stored<'log'>[];
  shop: Shop;
  loading: boolean;
};

/** A piece with everything that hangs on it. @param wanted false on a page that is of no one piece */
export function usePieceView(id: string | undefined, wanted = true): PieceView {
  const pieces = useOne('piece', id, wanted);
  const faces = useList('face', wanted);
  const damages = useList('damage', wanted);
  const log = useList('log');
  const { shop, loading: shopLoading } = useShop();
  // The same lists as long as nothing changed: what is worked out of them is worked out once.
  const own = useMemo(
    () => ({
      faces: faces.records.filter((f) => f.body.pieceId === id),
      damages: damages.records
        .filter((d) => d.body.pieceId === id && isBegun(d.body))
        .sort((a, b) => a.body.number - b.body.number),
      log: log.records
        .filter((l) => l.body.pieceId === id)
        .sort((a, b) => byTime(a.body.doneAt, b.body.doneAt)),
    }),
    [id, faces.records, damages.records, log.records],
  );
  return {
    ...(pieces.record ? { piece: pieces.record } : {}),
    ...own,
    shop,
    loading: pieces.loading || faces.loading || damages.loading || log.loading || shopLoading,
  };
}

export type FaceView = PieceView & {
  face?: Stored<'face'>;
  onFace: Stored<'damage'>[];
  /** A mark that was opened and left empty: the next one is made of it. */
  empty?: Stored<'damage'>;
};

export function useFaceView(id: string | undefined): FaceView {
  const { record: face, loading } = useOne('face', id);
  const view = usePieceView(face?.body.pieceId);
  const { records } = useList('damage');
  const empty = records.find((d) => d.body.faceId === id && !isBegun(d.body));
  return {
    ...view,
    loading: loading || view.loading,
    ...(face ? { face } : {}),
    onFace: view.damages.filter((d) => d.body.faceId === id),
    ...(empty ? { empty } : {}),
  };
}

export type DamageView = PieceView & {
  damage?: Stored<'damage'>;
  face?: Stored<'face'>;
  /** All damages of the same face, this one too. */
  onFace: Stored<'damage'>[];
  /** What is decided for it. */
  repair?: Repair;
  /** The piece as it is treated on this face. */
  treated?: Piece;
  /** The chain of the method chosen, or else of the one recommended. */
  chain?: Chain;
  /** The method that is looked at: a link of the chain when one was asked for, else the one that was chosen. */
  method?: MethodId;
  /** Glue and clamps chosen for that method. */
  glue: GlueChoice;
  /** The change of the damage that keeps such a choice. */
  keepGlue: (glue: GlueChoice) => Partial<Damage>;
};

/**
 * A damage with everything that hangs on it.
 *
 * @param link the method of its chain that a page was opened for
 * @param families what the page works out: without a link the first glued method of these is looked at, if the main one is not
 */
export function useDamageView(
  id: string | undefined,
  link?: string,
  families: readonly MethodFamily[] = [],
): DamageView {
  const { record: damage, loading } = useOne('damage', id);
  const view = usePieceView(damage?.body.pieceId);
  const face = view.faces.find((f) => f.id === damage?.body.faceId);
  const onFace = face ? view.damages.filter((d) => d.body.faceId === face.id) : damage ? [damage] : [];
  const { piece, faces, damages, shop } = view;
  const repair = useMemo(
    () => (damage && piece ? repairOf(piece, faces, damages, damage, shop) : undefined),
    [damage, piece, faces, damages, shop],
  );
  const chain = repair?.chain;
  const links = chain ? linksOfChain(chain) : [];
  const worked = (m: MethodId): boolean =>
    families.includes(methodById(m).family) && methodById(m).steps.some((s) => s.glued);
  const method =
    links.find((m) => m === link) ??
    (chain && worked(chain.method) ? chain.method : links.find(worked)) ??
    chain?.method;
  const main = chain?.method ?? method;
  return {
    ...view,
    loading: loading || view.loading,
    ...(damage ? { damage } : {}),
    ...(face ? { face } : {}),
    onFace,
    ...(repair ? { repair, treated: repair.treated } : {}),
    ...(chain ? { chain } : {}),
    ...(method ? { method } : {}),
    glue: damage && method && main ? glueChoice(damage.body, method, main) : {},
    keepGlue: (glue) => (damage && method && main ? keptGlue(damage.body, method, main, glue) : { glue }),
  };
}
