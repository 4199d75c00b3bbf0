import { newFace, newPiece } from './defaults';
import { possibleMoves } from './moves';

test('each part is offered once: apart while it goes with the frame, back while it stands apart, the others left as they are', () => {
  const faces = ['Door', 'Drawer', 'Door'].map((part, i) => ({ id: `f${i}`, body: { ...newFace('p', part), part } })); // prettier-ignore
  const moves = possibleMoves({ ...newPiece('Chest', '2026-03-02T08:00:00'), apart: ['Drawer'] }, faces);
  const of = (id: string) => moves.filter((m) => m.id === `apart.${id}`);
  expect(of('Door')).toHaveLength(1);
  expect(of('Door')[0]?.otherwise.apart).toEqual(['Drawer', 'Door']);
  expect(of('Drawer')[0]?.otherwise.apart).toEqual([]);
});
