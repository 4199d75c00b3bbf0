/** Where drawn things stand on the screen: css = offset + scale × content. */
export type Viewport = { x: number; y: number; k: number };
export type Spot = { x: number; y: number };
type Size = { width: number; height: number };

/** The whole content, centred, with a margin. */
export function fit(content: Size, screen: Size, margin = 12): Viewport {
  const k = Math.max(
    1e-6,
    Math.min((screen.width - 2 * margin) / content.width, (screen.height - 2 * margin) / content.height),
  );
  return { k, x: (screen.width - k * content.width) / 2, y: (screen.height - k * content.height) / 2 };
}

/** A part of the content, centred, with a margin. */
export function fitPart(part: Size & Spot, screen: Size, margin = 12): Viewport {
  const v = fit(part, screen, margin);
  return { k: v.k, x: v.x - v.k * part.x, y: v.y - v.k * part.y };
}

/** Zooms about a spot that stays where it is, between half and thirty times the fitted scale. */
export function zoomAt(v: Viewport, at: Spot, factor: number, fitted: number): Viewport {
  const k = Math.min(fitted * 30, Math.max(fitted * 0.5, v.k * factor));
  const f = k / v.k;
  return { k, x: at.x - (at.x - v.x) * f, y: at.y - (at.y - v.y) * f };
}

export const pan = (v: Viewport, dx: number, dy: number): Viewport => ({ ...v, x: v.x + dx, y: v.y + dy });
export const toContent = (v: Viewport, s: Spot): [number, number] => [(s.x - v.x) / v.k, (s.y - v.y) / v.k];
export const toScreen = (v: Viewport, [x, y]: readonly [number, number]): Spot => ({
  x: v.x + v.k * x,
  y: v.y + v.k * y,
});

/** How a picture drawn for one view is moved and stretched to stand as in another: css translate and scale about its corner. */
export function between(drawn: Viewport, view: Viewport): { x: number; y: number; scale: number } {
  const scale = view.k / drawn.k;
  return { x: view.x - scale * drawn.x, y: view.y - scale * drawn.y, scale };
}
