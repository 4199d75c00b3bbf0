import type { ColourAim } from './aim';
import { FIRST, type First } from './first';
import { triedWords, type Tried } from './tried';

/** Where a colour was taken from, what was done before it, and what was tried, for the record: left and right of a row. */
export const colouringLines = ({
  aim,
  first,
  tried = [],
}: {
  aim?: ColourAim;
  first?: First;
  tried?: readonly Tried[];
}): [string, string][] => [
  ...(aim ? [['Colour taken from', aim.label] as [string, string]] : []),
  ...(first && first !== 'none' ? [['Before any colour', FIRST[first].label] as [string, string]] : []),
  ...tried.map((t): [string, string] => [t.at.slice(0, 10), triedWords(t)]),
];
