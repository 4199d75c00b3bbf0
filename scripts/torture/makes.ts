import type { CDPSession, Page } from '@playwright/test';

/** A button that makes something, and where it is. */
export type Makes = {
  at: string;
  /** What is pressed before, until the button is there. */
  first?: readonly string[];
  /** What is typed before, into the field of that name. */
  typed?: { field: string; text: string };
  button: string;
  /** The kind of record it makes, or whose text it makes longer. */
  kind: string;
  /** Where it makes no record of its own: what is counted in the texts of its kind. */
  counts?: string;
};

export const MAKES: readonly Makes[] = [
  { at: '/', button: 'Add a piece', kind: 'piece' },
  { at: '/quick', button: 'Keep this', kind: 'piece' },
  { at: '/piece/lectern/about', button: 'Add a face without a photo', kind: 'face' },
  { at: '/colours', button: 'Add a colour', kind: 'colour' },
  { at: '/stock', button: 'Add a board', kind: 'lumber' },
  { at: '/stock', button: 'Add a veneer without a photo', kind: 'veneer' },
  { at: '/face/stool-seat', button: 'Mark it on the picture', kind: 'damage' },
  { at: '/damage/lectern-1', first: ['Move, copy, mirror'], button: 'Copy it beside', kind: 'damage' },
  { at: '/piece/lectern/parts', button: 'Put it on the tray', kind: 'piece', counts: '"odd":' },
  { at: '/piece/lectern/record', typed: { field: 'Note', text: 'Seen' }, button: 'Keep the note', kind: 'log' },
]; // prettier-ignore

/** How many there are, in the texts of all records of the kind. */
export const madeIn = ({ counts }: Makes, texts: readonly string[]): number =>
  counts ? texts.reduce((n, text) => n + text.split(counts).length - 1, 0) : texts.length;

/** Opens the page and whatever hides the button, and types what it needs. */
export async function openMaker(page: Page, { at, first = [], typed, button }: Makes): Promise<void> {
  await page.goto(at);
  for (const name of first) await page.getByRole('button', { name, exact: true }).first().click();
  if (typed) await page.getByRole('textbox', { name: typed.field, exact: true }).fill(typed.text);
  await page.getByRole('button', { name: button, exact: true }).waitFor();
  // Until the page no longer moves under the finger.
  await page.waitForTimeout(500);
}

/** Two taps of one hand, so many milliseconds apart, whether the page has heard of the first or not. */
export async function tapTwice(page: Page, cdp: CDPSession, button: string, apartMs: number): Promise<void> {
  const target = page.getByRole('button', { name: button, exact: true });
  await target.scrollIntoViewIfNeeded();
  const box = await target.boundingBox();
  if (!box) throw new Error(`${button} is not shown`);
  const at = { x: box.x + box.width / 2, y: box.y + box.height / 2, button: 'left', clickCount: 1 } as const;
  await page.mouse.move(at.x, at.y);
  const heard: Promise<unknown>[] = [];
  const tap = (): void => {
    for (const type of ['mousePressed', 'mouseReleased'] as const)
      heard.push(cdp.send('Input.dispatchMouseEvent', { type, ...at }));
  };
  tap();
  await new Promise((resolve) => setTimeout(resolve, apartMs));
  tap();
  await Promise.all(heard);
}
