import { lowerFirst, upperFirst } from './letters';

test('only the first letter changes', () => {
  expect(lowerFirst('Walnut Burr')).toBe('walnut Burr');
  expect(upperFirst('walnut Burr')).toBe('Walnut Burr');
  expect(lowerFirst('')).toBe('');
});
