import fc from 'fast-check';
import { createLooked, shapesOf } from './looked';
import { emptyTimeline, fullUntil, hold } from './timeline';
import type { Node } from './network';

const CAPACITY: Record<string, number> = { hands: 2, clamp: 4 };
const node = fc
  .record({ attended: fc.integer({ min: 1, max: 6 }), unattended: fc.integer({ min: 0, max: 5 }), clamps: fc.integer({ min: 0, max: 3 }), hands: fc.integer({ min: 1, max: 2 }), after: fc.integer({ min: 0, max: 40 }) })
  .map(({ clamps, hands, after, ...n }): Node => ({ ...n, notBefore: after, preds: [], succs: [], whole: clamps > 0 ? [{ resource: 'clamp', amount: clamps }] : [], hands: [{ resource: 'hands', amount: hands }] }) as unknown as Node); // prettier-ignore

/** Tasks one after the other, each at the first minute from which there is room for it; minute by minute, or past what was looked for. */
function placed(nodes: readonly Node[], remember: boolean): number[] {
  const lines = new Map(Object.keys(CAPACITY).map((r) => [r, emptyTimeline()]));
  const looked = createLooked(shapesOf(nodes));
  return nodes.map((n) => {
    const takes = [...n.whole.map((d) => ({ ...d, to: n.attended + n.unattended })), ...n.hands.map((d) => ({ ...d, to: n.attended }))]; // prettier-ignore
    const isRoom = (at: number): boolean =>
      takes.every((d) => {
        const line = lines.get(d.resource);
        return !line || fullUntil(line, at, at + d.to, (CAPACITY[d.resource] ?? 0) - d.amount) === undefined;
      });
    let at = remember ? looked.from(n, n.notBefore) : n.notBefore;
    while (!isRoom(at)) at++;
    looked.found(n, n.notBefore, at);
    for (const d of takes) {
      const line = lines.get(d.resource);
      if (line) hold(line, at, at + d.to, d.amount);
    }
    return at;
  });
}

test('what was looked for in vain is passed over, and nothing else', () => {
  fc.assert(
    fc.property(fc.array(node, { maxLength: 40 }), (nodes) => {
      expect(placed(nodes, true)).toEqual(placed(nodes, false));
    }),
    { numRuns: 300 },
  );
});
