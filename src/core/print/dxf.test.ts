import Parser, { type IPolylineEntity } from 'dxf-parser';
import fc from 'fast-check';
import type { Point } from '../geometry';
import { toDxf } from './dxf';

test('an independent reader finds every point of every outline on its layer, in millimetres', () => {
  const coordinate = fc.double({ min: -3000, max: 3000, noNaN: true });
  const outline = fc.array(fc.tuple(coordinate, coordinate), { minLength: 3, maxLength: 40 });
  fc.assert(
    fc.property(outline, outline, (patch, recess) => {
      const dxf = new Parser().parseSync(
        toDxf([
          { name: 'patch', outlines: [patch] },
          { name: 'Recess, 1', outlines: [recess] },
        ]),
      );
      const found = (dxf?.entities ?? []) as IPolylineEntity[];
      expect(found.map((e) => [e.type, e.layer, e.shape])).toEqual([
        ['POLYLINE', 'PATCH', true],
        ['POLYLINE', 'RECESS__1', true],
      ]);
      for (const [i, given] of [patch, recess].entries())
        expect(found[i]?.vertices.map((v): Point => [v.x, -v.y])).toEqual(
          given.map(([x, y]) => [expect.closeTo(x, 5), expect.closeTo(y, 5)]),
        );
      expect(dxf?.header.$INSUNITS).toBe(4);
    }),
  );
});

test('an open line stays open', () => {
  const dxf = new Parser().parseSync(toDxf([{ name: 'grain', open: true, outlines: [[[0, 0], [100, 0]]] }])); // prettier-ignore
  expect((dxf?.entities[0] as IPolylineEntity | undefined)?.shape).toBe(false);
});
