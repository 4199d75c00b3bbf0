import { minutesFrom } from '@/core/calendar';
import { attempt } from '@/core/check';
import { LINKING, linksOf, picturesOf, swapPicture } from './links';
import { markKey, markOf } from './marks';
import { readText } from './migrate';
import { KINDS } from './schemas';
import { isOf } from './reading';
import type { Store } from './store';
import type { AnyStored, Kind, Picture } from './types';

export type Share = { count: number; bytes: number };
export type LoosePicture = { id: string; name: string; bytes: number };
export type Room = {
  kinds: Record<Kind, Share>;
  aside: Share;
  /** Photos that no record shows. */
  unused: LoosePicture[];
  /** Photos that only remind, of which nothing is measured and no colour read, and that are larger than need be. */
  thinnable: LoosePicture[];
};

/** Photos that are read at one time. */
const BATCH = 8;
/** A photo that reminds is still good at this many pixels along its longer side. */
export const THIN_SIDE_PX = 1000;
/** What a photo of that size takes at most; a smaller one is left alone. */
const THIN_BYTES = 120_000;

/** A photo is stored before what shows it: one that is younger than this may be on its way. */
const FRESH_MIN = 60;
const isFresh = ({ savedAt }: AnyStored, now: string): boolean => {
  const age = attempt(() => minutesFrom(now) - minutesFrom(savedAt));
  return age.ok && age.value >= 0 && age.value < FRESH_MIN;
};

const sizeOf = (text: string): number => text.length;

/** Photos that something is measured on, or a colour read from. */
const measuredOn = (r: AnyStored): string[] =>
  linksOf(r)
    .filter((l) => l.kind === 'picture' && l.measured)
    .map((l) => l.id);

/** What takes room in the store, and which photos could go. Sizes are those of the texts as they are stored. @param now local time */
export async function roomTaken(
  store: Store,
  now: string,
  progress?: (fraction: number) => void,
): Promise<Room> {
  const { records, aside } = await store.keys();
  const kinds = Object.fromEntries(KINDS.map((k) => [k, { count: 0, bytes: 0 }])) as Record<Kind, Share>;
  const isPicture = (key: string): boolean => key.startsWith('picture/');
  const plain = await store.texts(records.filter((k) => !isPicture(k)));
  const all: AnyStored[] = [];
  for (const [key, text] of plain) {
    const kind = KINDS.find((k) => key.startsWith(`${k}/`));
    if (kind) kinds[kind] = { count: kinds[kind].count + 1, bytes: kinds[kind].bytes + sizeOf(text) };
    const result = readText(text);
    if (result.ok) all.push(result.record);
  }
  const shown = new Set(all.flatMap(picturesOf));
  const measured = new Set(all.flatMap(measuredOn));
  const unused: LoosePicture[] = [];
  const thinnable: LoosePicture[] = [];
  const pictures = records.filter(isPicture);
  for (let i = 0; i < pictures.length; i += BATCH) {
    progress?.(i / pictures.length);
    for (const text of (await store.texts(pictures.slice(i, i + BATCH))).values()) {
      const bytes = sizeOf(text);
      kinds.picture = { count: kinds.picture.count + 1, bytes: kinds.picture.bytes + bytes };
      const result = readText(text);
      if (!result.ok || !isOf(result.record, 'picture')) continue;
      const { id, body } = result.record;
      const loose = { id, name: body.name, bytes };
      if (!shown.has(id)) {
        if (!isFresh(result.record, now)) unused.push(loose);
      } else if (
        !measured.has(id) &&
        bytes > THIN_BYTES &&
        Math.max(body.widthPx, body.heightPx) > THIN_SIDE_PX
      )
        thinnable.push(loose);
    }
  }
  const asideTexts = await store.texts(aside);
  return {
    kinds,
    aside: { count: aside.length, bytes: [...asideTexts.values()].reduce((s, t) => s + sizeOf(t), 0) },
    unused,
    thinnable,
  };
}

/**
 * Puts a smaller photo in the place of a large one, under a new name, in every record that shows it.
 *
 * @param shrink makes the photo smaller; `newId` names it; `device` is the name of this browser, whose change it is
 * @returns how many bytes were gained
 */
export async function thinPictures(
  store: Store,
  ids: readonly string[],
  {
    shrink,
    newId,
    device,
  }: { shrink: (picture: Picture) => Promise<Picture>; newId: () => string; device: string },
  progress?: (fraction: number) => void,
): Promise<number> {
  let gained = 0;
  for (const [i, id] of ids.entries()) {
    progress?.(i / ids.length);
    const old = await store.get('picture', id);
    if (!old) continue;
    const body = await shrink(old.body);
    if (body.jpeg.length >= old.body.jpeg.length) continue;
    const next = await store.create('picture', newId(), body);
    const names = async (): Promise<string[]> => {
      const { records } = await store.listAll(LINKING);
      const showing = records.filter((r) => picturesOf(r).includes(id));
      return showing.map((r) => `${r.kind}/${r.id}`);
    };
    await store.exchange(names, (texts) => ({
      ...Object.fromEntries(
        [...texts].flatMap(([key, text]): [string, string][] => {
          const result = readText(text);
          return result.ok ? [[key, JSON.stringify(swapPicture(result.record, id, next.id, device))]] : [];
        }),
      ),
      [`picture/${id}`]: undefined,
      [markKey(old)]: JSON.stringify(markOf(old, { title: old.body.name, now: next.savedAt, device })),
    }));
    gained += old.body.jpeg.length - body.jpeg.length;
  }
  return gained;
}

/**
 * Puts away photos that no record shows; what was put away comes back, so that it can be undone. What shows them is looked up while no
 * other window writes.
 *
 * @param now local time: photos of the last hour are left alone
 */
export async function clearUnused(store: Store, now: string): Promise<AnyStored[]> {
  return store.removeChosen(async (all) => {
    const shown = new Set(all.flatMap(picturesOf));
    const { records } = await store.keys();
    const unused = records.filter((k) => k.startsWith('picture/') && !shown.has(k.slice('picture/'.length)));
    const refs: { kind: Kind; id: string }[] = [];
    for (let i = 0; i < unused.length; i += BATCH)
      for (const text of (await store.texts(unused.slice(i, i + BATCH))).values()) {
        const result = readText(text);
        if (result.ok && !isFresh(result.record, now)) refs.push({ kind: 'picture', id: result.record.id });
      }
    return refs;
  });
}
