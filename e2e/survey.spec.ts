import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { WaveFile } from 'wavefile';
import { simulatedRecording } from '../src/core/ear';
import {
  bringDemo,
  drawing,
  expect,
  pdfText,
  pick,
  PICTURES,
  save,
  storedTexts,
  tapAt,
  test,
} from './fixtures';

/** Eight taps on sound wood, then eight over a void, over and over: what the browser's fake microphone hears. */
const RATE = 48_000;
const recording = path.join(mkdtempSync(path.join(tmpdir(), 'taps-')), 'taps.wav');
const wave = new WaveFile();
wave.fromScratch(
  1,
  RATE,
  '16',
  Array.from(simulatedRecording([...Array<boolean>(8).fill(false), ...Array<boolean>(8).fill(true)], RATE, 9, 0.6), (v) => Math.round(v * 32_767)), // prettier-ignore
);
writeFileSync(recording, wave.toBuffer());

test.use({
  permissions: ['microphone'],
  launchOptions: {
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${recording}`,
    ],
  },
});

test('a walk round a piece of three faces: taps, the phone’s ear, marks of every tool, the report', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.goto('/');
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Side table');
  await page.getByRole('textbox', { name: 'Name' }).blur();
  const pieceUrl = page.url().replace(/\/about.*/, '');

  await test.step('the first face, from a photo', async () => {
    await pick(page, 'Add a face from a photo', path.join(PICTURES, 'worn-floor.png'));
    await page.getByRole('button', { name: 'Set the scale' }).click();
    await page.getByRole('textbox', { name: 'Width, along the top' }).fill('600 mm');
    await page.getByRole('textbox', { name: 'Width, along the top' }).press('Enter');
    await page.getByRole('textbox', { name: 'Height, down the side' }).fill('450');
    await page.getByRole('textbox', { name: 'Height, down the side' }).press('Enter');
    await page.getByRole('button', { name: /Take this scale|Next: the grain/ }).click();
    await page.getByRole('button', { name: 'Next: mark the damage' }).click();
  });

  await test.step('a blister found by 40 taps', async () => {
    await page.getByRole('radio', { name: 'Blister' }).click();
    await page.getByRole('button', { name: 'Mark it on the picture' }).click();
    await page.getByRole('button', { name: 'Find it by tapping' }).click();
    await expect(page.getByText('Still open')).toBeVisible({ timeout: 20_000 });
    const count = async (): Promise<number> =>
      (await storedTexts(page, 'damage/')).join().match(/"hollow"/g)?.length ?? 0;
    for (let i = 0; i < 40; i++) {
      // The cross says where it lies; the blister is an ellipse in the middle.
      const place = await page.getByTestId('next-tap').innerText();
      const [x = 0, y = 0] = place.match(/[\d.]+/g)?.map(Number) ?? [];
      const hollow = ((x - 320) / 130) ** 2 + ((y - 220) / 90) ** 2 < 1;
      await page.getByRole('button', { name: hollow ? 'It sounds hollow' : 'It sounds solid' }).click();
      await expect.poll(count).toBe(i + 1);
      await expect(page.getByTestId('next-tap')).not.toHaveText(place);
    }
    await page.getByRole('button', { name: 'Take this as the outline' }).click();
    const area = Number.parseFloat(await page.locator('text=/^\\d+(\\.\\d+)? cm²$/').first().innerText());
    // π × 130 × 90 mm² = 368 cm²
    expect(area).toBeGreaterThan(290);
    expect(area).toBeLessThan(450);
  });

  await test.step('the phone listens: it learns sound wood, then proposes', async () => {
    await page.getByRole('button', { name: 'Find it by tapping' }).click();
    await page.getByRole('button', { name: 'Let the phone listen' }).click();
    await page.getByRole('button', { name: 'Listen', exact: true }).click();
    await expect(page.getByText('First it learns what sound wood is like here')).toBeVisible();
    await expect(page.getByText(/It sounds solid, \d+ % sure/)).toBeVisible({ timeout: 20_000 });
    await expect(page.getByText(/It sounds hollow, \d+ % sure/)).toBeVisible({ timeout: 20_000 });
    const before = (await storedTexts(page, 'damage/')).join().match(/"hollow"/g)?.length ?? 0;
    await page.getByRole('button', { name: 'It sounds hollow' }).click();
    await expect
      .poll(async () => (await storedTexts(page, 'damage/')).join().match(/"hollow"/g)?.length)
      .toBe(before + 1);
    await page.getByRole('button', { name: 'Stop listening' }).click();
    await expect(page.getByRole('button', { name: 'Listen', exact: true })).toBeVisible();
  });

  const addFace = async (name: string, width: string, height: string, shape: string): Promise<void> => {
    await page.goto(`${pieceUrl}/about`);
    await page.getByRole('button', { name: 'Add a face without a photo' }).click();
    await page.getByRole('textbox', { name: 'Name of the face' }).fill(name);
    await page.getByRole('textbox', { name: 'Name of the face' }).blur();
    await page.getByRole('radio', { name: 'Solid wood, no veneer' }).click();
    await page.getByRole('radio', { name: shape }).click();
    await page.getByRole('textbox', { name: 'Width', exact: true }).fill(width);
    await page.getByRole('textbox', { name: 'Width', exact: true }).press('Enter');
    await page.getByRole('textbox', { name: 'Height', exact: true }).fill(height);
    await page.getByRole('textbox', { name: 'Height', exact: true }).press('Enter');
    await page.getByRole('button', { name: 'Draw the grain' }).click();
    await page.getByRole('button', { name: 'Next: mark the damage' }).click();
  };

  await test.step('a round shelf with a crack and a hole', async () => {
    await addFace('Shelf', '400', '400', 'Circle or oval');
    await page.getByRole('radio', { name: 'Long crack' }).click();
    await page.getByRole('button', { name: 'Mark it on the picture' }).click();
    await tapAt(page, /^Face to scale/, { width: 400, height: 400 }, [[60, 200]]); // prettier-ignore
    await tapAt2(page, [[60, 200], [260, 200]], 2); // prettier-ignore
    await page.getByRole('textbox', { name: 'Width of the crack' }).fill('0.4');
    await page.getByRole('textbox', { name: 'Width of the crack' }).press('Enter');
    await expect(page.getByText('200 mm', { exact: true }).first()).toBeVisible();
    await page.getByRole('button', { name: 'Does it move over the year?' }).click();
    await page.getByRole('textbox', { name: 'Width across the grain' }).fill('400');
    await page.getByRole('textbox', { name: 'Width across the grain' }).press('Enter');
    await page.getByRole('button', { name: 'Take these for this piece' }).click();
    await expect(page.getByText('In the driest month')).toBeVisible();
    await page.goto(pieceUrl);
    await page.getByRole('link', { name: /^Shelf/ }).click();
    await page.getByRole('radio', { name: 'Holes and losses' }).click();
    await page.getByRole('radio', { name: 'Hole', exact: true }).click();
    await page.getByRole('button', { name: 'Mark it on the picture' }).click();
    await tapAt(page, /^Face to scale/, { width: 400, height: 400 }, [[200, 90]]); // prettier-ignore
    await page.getByRole('textbox', { name: 'Diameter' }).fill('9.5 mm');
    await page.getByRole('textbox', { name: 'Diameter' }).press('Enter');
    await page.getByRole('button', { name: 'Next: decide the repair' }).click();
    await expect(page.getByRole('heading', { name: 'Face-grain plug' })).toBeVisible();
    await page.getByRole('button', { name: 'Choose the recommended: Face-grain plug' }).click();
  });

  await test.step('its edge, unrolled, with a dent copied along', async () => {
    await addFace('Edge of the shelf', '1257', '22', 'Edge band');
    await page.getByRole('radio', { name: 'Dent' }).click();
    await page.getByRole('button', { name: 'Mark it on the picture' }).click();
    await page.getByRole('button', { name: 'How it is marked' }).click();
    await page.getByRole('radio', { name: 'Round hole' }).click();
    await tapAt(page, /^Face to scale/, { width: 1257, height: 22 }, [[400, 11]]); // prettier-ignore
    await page.getByRole('button', { name: 'Move, copy, mirror' }).click();
    await page.getByRole('button', { name: 'Make a mirrored copy' }).click();
    await expect(page.getByRole('heading', { name: 'Dent, no. 5' })).toBeVisible();
  });

  await test.step('the report, on the screen and as a PDF', async () => {
    await page.goto(pieceUrl);
    await page.getByRole('link', { name: /^Condition report/ }).click();
    await expect(page.getByText('The worst first')).toBeVisible();
    await expect(page.getByRole('link', { name: /^Blister, no. 1\. Top/ })).toBeVisible();
    const text = pdfText(await save(page, 'Report as PDF'));
    expect(text).toContain('Condition of Side table');
    expect(text).toMatch(/Condition score \d+ of 100/);
    for (const words of [
      'Blister, no. 1',
      'Long crack, no. 2',
      '200 mm long, 0.4 mm wide',
      'Hole, no. 3',
      '9.5 mm across',
      'Face-grain plug',
      'Edge of the shelf',
    ])
      expect(text).toContain(words);
    await page.getByRole('button', { name: 'Print it' }).click();
    await expect(page.locator('iframe[title="Sheet to print"]')).toBeAttached();
  });
});

/** The second tap of a line: its first handle is there already. */
async function tapAt2(
  page: Parameters<typeof tapAt>[0],
  places: [number, number][],
  handles: number,
): Promise<void> {
  const group = page.getByRole('group', { name: /^Face to scale/ });
  const [from, to] = places;
  const first = await page.getByRole('button', { name: /^Point 1 of/ }).boundingBox();
  const box = await group.boundingBox();
  if (!first || !box || !from || !to) throw new Error('the drawing is not shown');
  const k = Math.min((box.width - 48) / 400, (box.height - 48) / 400);
  await page.mouse.click(first.x + 22 + k * (to[0] - from[0]), first.y + 22 + k * (to[1] - from[1]));
  await expect(page.locator('[data-handle]:not([data-handle="whole"])')).toHaveCount(handles);
}

test('a refused microphone is told in words, and the two buttons still work', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({
    baseURL: baseURL ?? '',
    serviceWorkers: 'block',
    permissions: [],
  });
  const page = await context.newPage();
  await page.addInitScript(() => {
    navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('no', 'NotAllowedError'));
  });
  await page.goto('/demo?load=1');
  await page.getByRole('link', { name: /Card-index cabinet/ }).waitFor();
  await page.goto('/damage/cabinet-1/tap');
  await page.getByRole('button', { name: 'Let the phone listen' }).click();
  await page.getByRole('button', { name: 'Listen', exact: true }).click();
  await expect(page.getByText('The microphone is refused.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'It sounds solid' })).toBeEnabled();
  await context.close();
});

test('the picture stands still while an outline is tapped; a tap beside the face is drawn to its edge or not taken', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/face/cabinet-side');
  await page.getByRole('button', { name: 'Mark it on the picture' }).click();
  const size = { width: 520, height: 360 };
  const places = [[150, 120], [260, 120], [260, 200]] as const; // prettier-ignore
  await tapAt(page, /^Face to scale/, size, places.slice(0, 2));
  const first = page.getByRole('button', { name: /^Point 1 of/ });
  const before = await first.boundingBox();
  const board = await drawing(page, /^Face to scale/, size);
  const third = board.at(...places[2]);
  await page.mouse.click(third.x, third.y);
  await expect(page.getByText('Perimeter')).toBeVisible();
  // Someone tapping on: the fourth tap lands where the finger is, by the view of the first three.
  const after = await first.boundingBox();
  expect(after).toEqual(before);
  const beside = board.at(150, 366);
  await page.mouse.click(beside.x, beside.y);
  await expect(page.getByText(/just beside the face; the point was drawn to its edge/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Point 4 of 4/ })).toBeVisible();
  const far = board.at(150, 392);
  await page.mouse.click(far.x, far.y);
  await expect(page.getByText(/beside the face, so nothing was marked/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Point 5/ })).toHaveCount(0);
});
