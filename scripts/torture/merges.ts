// Devices whose clocks are years apart delete, change and hand files to each other: in the end they hold the same, and nothing dangles.
import { seededRandom } from '../../src/core/check';
import { StoreError } from '../../src/records/errors';
import type { AnyStored } from '../../src/records/types';
import { begun, bodiesOf, dangling, device, doStep, exchanged, STEPS } from '../../src/testing/devices';
import { tally, type Tally } from './shop';

const MOST_STEPS = 24;

/** @param seed other than the test's, so that other steps are gone */
export async function merges(count: number, seed = 2026): Promise<Tally> {
  const result = tally();
  const random = seededRandom(seed);
  const upTo = (n: number): number => Math.floor(random() * n);
  for (let n = 0; n < count; n++) {
    result.done++;
    const all = [await begun('d0', upTo(3) - 1)];
    const [first] = all;
    if (!first) continue;
    for (let i = 1; i < 2 + upTo(3); i++) {
      const next = device(`d${i}`, upTo(3) - 1);
      await next.take(await first.file());
      all.push(next);
    }
    first.storage.data.set('piece/torn', '{"kind":"piece"');
    const undo = new Map<string, AnyStored[]>();
    try {
      for (let s = 0; s < MOST_STEPS; s++)
        await doStep(
          all,
          { on: upTo(4), what: STEPS[upTo(STEPS.length)] ?? 'note', n: upTo(40) },
          undo,
        ).catch((error: unknown) => {
          if (!(error instanceof StoreError)) throw error;
        });
      await exchanged(all);
      const held = await Promise.all(all.map(async (d) => JSON.stringify(await bodiesOf(d))));
      if (new Set(held).size > 1) result.lost++;
      for (const d of all) {
        if ((await dangling(d)).length > 0) result.lost++;
        if ((await d.store.listAside()).length > 1) result.doubled++;
      }
    } catch (error) {
      result.foreign.push(String(error));
    }
  }
  return result;
}
