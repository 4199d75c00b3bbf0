import { PHASES } from '../catalogue';
import { waysFor } from '../ways';
import { movePhase, orderProblems, phaseOrder, PRECEDENCE } from './order';

const EVERY = (['before', 'after'] as const).flatMap((patchOrder) =>
  (['before', 'after'] as const).flatMap((veneerOrder) =>
    (['before', 'after'] as const).map((crackOrder) =>
      waysFor('clear', { patchOrder, veneerOrder, crackOrder }),
    ),
  ),
);

test('no order that a piece can take is one that the trade forbids', () => {
  for (const ways of EVERY) expect(orderProblems(phaseOrder(ways))).toEqual([]);
});

test('every forbidden order is found when it is made, with its reason', () => {
  const order = PHASES.map((p) => p.id);
  for (const { first, then, why } of PRECEDENCE) {
    const swapped = order.map((p) => (p === first ? then : p === then ? first : p));
    expect(orderProblems(swapped).join(' ')).toContain(why);
  }
});

test('the moves that the trade makes are made, and taken back', () => {
  const ways = waysFor('clear', {});
  expect(movePhase(ways, 'patch', 'strip')).toEqual({ ok: true, way: 'patchOrder', value: 'before' });
  expect(movePhase(waysFor('clear', { patchOrder: 'before' }), 'patch', 'level')).toEqual({ ok: true, way: 'patchOrder', value: 'after' }); // prettier-ignore
  expect(movePhase(ways, 'reglue', 'structure')).toEqual({ ok: true, way: 'veneerOrder', value: 'before' });
  expect(movePhase(waysFor('clear', { crackOrder: 'after' }), 'bareFill', 'strip')).toEqual({ ok: true, way: 'crackOrder', value: 'before' }); // prettier-ignore
});

test('what is never done is refused with its reason, and standing still is said', () => {
  const ways = waysFor('clear', {});
  expect(movePhase(ways, 'reglue', 'patch')).toMatchObject({ ok: false, why: expect.stringContaining('Stripper runs under loose veneer') }); // prettier-ignore
  expect(movePhase(ways, 'topCoat', 'strip')).toMatchObject({ ok: false });
  expect(movePhase(ways, 'stain', 'seal')).toEqual({ ok: false, why: 'It stands there already.' });
});

test('wherever any phase is dropped, it is moved by the trade or refused in a sentence; nothing is lost', () => {
  for (const ways of EVERY)
    for (const { id: phase } of PHASES)
      for (const before of [...PHASES.map((p) => p.id), undefined]) {
        const moved = movePhase(ways, phase, before);
        if (!moved.ok) expect(moved.why).toMatch(/\.$/);
        else
          expect(new Set(phaseOrder({ ...ways, [moved.way]: moved.value }))).toEqual(
            new Set(PHASES.map((p) => p.id)),
          );
      }
});
