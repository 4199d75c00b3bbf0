import { METHODS } from './methods';
import { bringsWood } from './newWood';

test('the methods after which new wood is seen in the face, as a refinisher lists them (common practice)', () => {
  const patches = ['veneerPatch', 'harvestedPatch', 'edgeStrip', 'sawnStrip', 'reveneer'];
  const letIn = ['motifPart', 'newMotif', 'dutchman', 'facePlug', 'dowelPlug', 'newPart', 'shimFoot'];
  expect(METHODS.map((m) => m.id).filter(bringsWood)).toEqual([...patches, 'sliver', ...letIn]);
});
