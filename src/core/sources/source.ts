/** Where a figure comes from. A figure without one does not go on the screen as a fact. */
export type Source =
  | { kind: 'published'; title: string; where: string }
  | { kind: 'practice'; note?: string }
  | { kind: 'memory'; note: string }
  | { kind: 'measured'; by: string }
  | { kind: 'derived'; how: string };

/** A value with its source; the unit is in the name of the field that holds it. */
export type Sourced<T = number> = { value: T; source: Source };

export const published = (title: string, where: string): Source => ({ kind: 'published', title, where });
export const practice = (note?: string): Source => (note ? { kind: 'practice', note } : { kind: 'practice' });
export const memory = (note: string): Source => ({ kind: 'memory', note });
export const measured = (by: string): Source => ({ kind: 'measured', by });
export const derived = (how: string): Source => ({ kind: 'derived', how });

export const sourced = <T>(value: T, source: Source): Sourced<T> => ({ value, source });

/** One sentence a user can read: "Common practice.", "Wood Handbook …, eq. 4-5." */
export function describeSource(source: Source): string {
  switch (source.kind) {
    case 'published':
      return `Published: ${source.title}, ${source.where}.`;
    case 'practice':
      return source.note ? `Common practice: ${source.note}.` : 'Common practice.';
    case 'memory':
      return `From memory, check it against your product or a handbook: ${source.note}.`;
    case 'measured':
      return `Measured: ${source.by}.`;
    case 'derived':
      return `Worked out here: ${source.how}.`;
  }
}
