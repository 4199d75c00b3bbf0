import { damageLabel } from '@/core/job';
import { pieceIdOf } from './links';
import type { AnyStored, Kind } from './types';

const KIND_WORDS: Record<Kind, [one: string, many: string]> = {
  piece: ['piece', 'pieces'],
  face: ['face', 'faces'],
  damage: ['damage', 'damages'],
  veneer: ['veneer', 'veneers'],
  colour: ['colour', 'colours'],
  board: ['test board', 'test boards'],
  lumber: ['board', 'boards'],
  log: ['log entry', 'log entries'],
  shop: ['shop', 'shops'],
  picture: ['photo', 'photos'],
};

/** “3 faces”. */
export const counted = (kind: Kind, n: number): string => `${n} ${KIND_WORDS[kind][n === 1 ? 0 : 1]}`;

/** A record as its owner would call it: “Top, Lectern”. */
export function titleOf(record: AnyStored, pieceName: (id: string) => string | undefined): string {
  const own = ownTitle(record);
  const piece = pieceName(pieceIdOf(record) ?? '');
  return piece && record.kind !== 'piece' ? `${own}, ${piece}` : own;
}

function ownTitle({ kind, body }: AnyStored): string {
  switch (kind) {
    case 'piece':
    case 'face':
    case 'veneer':
    case 'colour':
    case 'board':
    case 'lumber':
    case 'picture':
      return body.name;
    case 'damage':
      return damageLabel(body);
    case 'log':
      return body.title;
    case 'shop':
      return 'Shop settings';
  }
}

/** Fields that a page calls otherwise than they are stored. */
const CALLED: Readonly<Record<string, string>> = {
  client: 'owner',
  goal: 'finish in the end',
  deadline: 'to be ready by',
  methodReason: 'why this one',
};

/** “finishNow” as “finish now”, “veneerMm” as “veneer, mm”; a field that its page calls otherwise as it stands there. */
export function fieldWords(field: string): string {
  const called = Object.hasOwn(CALLED, field) ? CALLED[field] : undefined;
  if (called) return called;
  const [, stem = field, unit] = /^(.*?)(Mm|Mm2|Min|C|Px|N|KPa)?$/.exec(field) ?? [];
  const words = stem.replace(/([A-Z])/g, ' $1').toLowerCase();
  return unit ? `${words}, ${unit.replace('Mm2', 'mm²').replace('Mm', 'mm').replace('Min', 'min').replace(/^C$/, '°C')}` : words; // prettier-ignore
}

const MOST_LETTERS = 160;
const cut = (text: string): string =>
  text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS)} …` : text;

/** A value of a field for reading beside another. */
export function valueWords(value: unknown): string {
  if (value === undefined || value === '' || value === null) return 'nothing';
  if (typeof value === 'string') return cut(`“${value}”`);
  if (typeof value === 'number') return String(Math.round(value * 1000) / 1000);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.length === 1 ? 'one entry' : `${value.length} entries`;
  const parts = Object.entries(value).map(([k, v]) =>
    typeof v === 'object' && v !== null ? fieldWords(k) : `${fieldWords(k)} ${valueWords(v)}`,
  );
  return parts.length === 0 ? 'nothing' : cut(parts.join('; '));
}
