/** A part with the parts that have to be in before it. */
export type PartInOrder = { id: string; label: string; after?: readonly string[] };

/**
 * Parts in an order in which every one finds in its place what has to be there before it; parts that do not mind keep the order
 * they were written down in. They come off the other way round.
 *
 * @returns the order, or the parts that wait for each other and so can never go in
 */
export function assemblyOrder<P extends PartInOrder>(
  parts: readonly P[],
): { ok: true; order: P[] } | { ok: false; problem: string; parts: P[] } {
  const known = new Set(parts.map((p) => p.id));
  const order: P[] = [];
  let left = [...parts];
  while (left.length > 0) {
    const placed = new Set(order.map((p) => p.id));
    const next = left.find((p) => (p.after ?? []).every((id) => placed.has(id) || !known.has(id)));
    if (!next) {
      const circle = circleIn(left);
      const names = circle.map((p) => `“${p.label}”`);
      const problem =
        circle.length === 1
          ? `${names[0]} cannot be in before itself. Take that line out.`
          : `${names.join(', ')} wait for each other: none of them could go in first. Take one of the lines out.`;
      return { ok: false, problem, parts: circle };
    }
    order.push(next);
    left = left.filter((p) => p !== next);
  }
  return { ok: true, order };
}

/** Some parts that wait for each other in a ring; there is one among parts of which none can go in. */
function circleIn<P extends PartInOrder>(stuck: readonly P[]): P[] {
  const walk: P[] = [];
  for (let at = stuck[0]; at !== undefined;) {
    const back = walk.indexOf(at);
    if (back >= 0) return walk.slice(back);
    walk.push(at);
    const waits: readonly string[] = at.after ?? [];
    at = stuck.find((p) => waits.includes(p.id));
  }
  return walk;
}
