import type { Node } from './network';

/** From `from` on nothing of a kind can begin before `found`: time only fills up while tasks are placed. */
type Span = { from: number; found: number };

/** What was looked for in vain, so that it is not looked for again. */
export type Looked = {
  /** The earliest time from which it is worth to look. */
  from: (node: Node, begin: number) => number;
  /** A place was found for it. */
  found: (node: Node, begin: number, at: number) => void;
};

/** Two tasks of one shape take the same of everything for the same time. */
const shapeOf = ({ attended, unattended, whole, hands }: Node): string =>
  JSON.stringify(whole.length > 0 ? [attended, unattended, whole, hands] : [attended, hands]);

function joined(known: Span | undefined, begin: number, at: number): Span {
  if (!known) return { from: begin, found: at };
  if (begin >= known.from && begin <= known.found)
    return { from: known.from, found: Math.max(known.found, at) };
  if (begin < known.from && at >= known.from) return { from: begin, found: Math.max(known.found, at) };
  return known;
}

export type Shapes = ReadonlyMap<Node, string>;
export const shapesOf = (nodes: readonly Node[]): Shapes => new Map(nodes.map((n) => [n, shapeOf(n)]));

/**
 * Remembers for each shape of task how far there is no room for it. A task that takes a pair of hands for longer than another finds no room
 * where that other found none.
 */
export function createLooked(shapes: Shapes): Looked {
  const spans = new Map<string, Span>();
  /** Of tasks that take nothing but hands: how long, how many of which, and how far there is no room. */
  const hands = new Map<string, { attended: number; resource: string; amount: number; span: Span }>();
  const within = (span: Span, begin: number): boolean => begin >= span.from && begin < span.found;
  return {
    from(node, begin) {
      let at = begin;
      const own = spans.get(shapes.get(node) ?? '');
      if (own && within(own, at)) at = own.found;
      for (const h of hands.values()) {
        const takes = node.hands.find((d) => d.resource === h.resource)?.amount ?? 0;
        if (takes >= h.amount && node.attended >= h.attended && within(h.span, at)) at = h.span.found;
      }
      return at;
    },
    found(node, begin, at) {
      const shape = shapes.get(node) ?? '';
      const span = joined(spans.get(shape), begin, at);
      spans.set(shape, span);
      const [only, more] = node.hands;
      if (only && !more && node.whole.length === 0)
        hands.set(shape, { attended: node.attended, resource: only.resource, amount: only.amount, span });
    },
  };
}
