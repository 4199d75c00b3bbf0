import type { ReactNode } from 'react';

/** `whole` moves everything rather than one point, and is drawn as a cross. */
export type Handle = { id: string; label: string; x: number; y: number; whole?: boolean };

export type CanvasProps = {
  /** What the drawing shows, for readers that speak. */
  label: string;
  /** Size of what is drawn, in its own units (pixels of a photo, millimetres of a face). */
  content: { width: number; height: number };
  imageUrl?: string;
  /** Height on the screen; the width is what there is. */
  heightPx: number;
  /** Draws in content units; gets how many screen pixels one unit takes, so that lines keep their width. */
  children?: (pixelsPerUnit: number) => ReactNode;
  handles?: readonly Handle[];
  onMove?: (id: string, at: readonly [number, number]) => void;
  onMoveEnd?: (id: string) => void;
  /** Where a handle comes to lie that a finger drags here; with the arrow keys it goes where it is sent. */
  catchOn?: (at: readonly [number, number], pixelsPerUnit: number) => readonly [number, number];
  onTap?: (at: readonly [number, number]) => void;
  /** The part that is shown first, in content units; the whole when not given. */
  focus?: { x: number; y: number; width: number; height: number };
  /** A drawing to look at: it does not pan, so that a finger on it scrolls the page. */
  still?: boolean;
};
