import { readFileSync } from 'node:fs';
import path from 'node:path';
import { bringDemo, drawing, expect, pick, PICTURES, storedTexts, tapAt, test } from './fixtures';

const cladding = readFileSync(path.join(PICTURES, 'green-pine-cladding.jpg'));
const file = (name: string, buffer: Buffer, mimeType = 'image/jpeg') => ({ name, mimeType, buffer });

test('bad pictures are named, and nothing is lost', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await expect(page.getByRole('heading', { name: 'About this piece' })).toBeVisible();
  const huge = Buffer.from(readFileSync(path.join(PICTURES, 'worn-floor.png')));
  huge.writeUInt32BE(10_000, 16);
  huge.writeUInt32BE(6_000, 20);
  for (const [bad, message] of [
    [file('letter.jpg', Buffer.from('Dear refinisher')), '“letter.jpg” is not a PNG or JPEG picture'],
    [file('nothing.jpg', Buffer.alloc(0)), '“nothing.jpg” is an empty file'],
    [file('half.jpg', cladding.subarray(0, cladding.length / 2)), '“half.jpg” is cut off'],
    [file('huge.png', huge, 'image/png'), '“huge.png” has 60 megapixels'],
  ] as const) {
    await pick(page, 'Add a face from a photo', bad);
    await expect(page.getByRole('alert')).toContainText(message);
    await page.getByRole('button', { name: 'Close message' }).click();
  }
  await expect(page.getByRole('heading', { name: 'About this piece' })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Piece 1/ })).toBeVisible();
});

test('a JPEG that lies on its side by its EXIF note is turned upright', async ({ page }) => {
  // APP1 with orientation 6 put behind the start mark of a real JPEG that is made 512 × 300 by cropping its frame height.
  const exif = Buffer.from('ffe1002245786966000049492a0008000000010012010300010000000600000000000000', 'hex');
  const turned = Buffer.concat([cladding.subarray(0, 2), exif, cladding.subarray(2)]);
  const frame =
    turned.indexOf(Buffer.from([0xff, 0xc0])) >= 0
      ? turned.indexOf(Buffer.from([0xff, 0xc0]))
      : turned.indexOf(Buffer.from([0xff, 0xc2]));
  turned.writeUInt16BE(304, frame + 5);
  await page.goto('/stock');
  await pick(page, 'Add a veneer from a photo', file('side.jpg', turned));
  await expect(page.getByRole('heading', { name: /^Veneer \d/, level: 1 })).toBeVisible();
  const image = page.getByRole('img', { name: /^Photo of Veneer/ }).first();
  await expect(image).toBeVisible();
  const [text = ''] = await storedTexts(page, 'picture/');
  const { body }: { body: { widthPx: number; heightPx: number } } = JSON.parse(text);
  const size = [body.widthPx, body.heightPx];
  expect(size).toEqual([304, 512]);
});

test('corners that cross and an outline that crosses itself are told and can be put right', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/face/lectern-slope/scale');
  const a = page.getByRole('button', { name: /^Top left corner/ });
  const b = page.getByRole('button', { name: /^Top right corner/ });
  const [from, to] = [await a.boundingBox(), await b.boundingBox()];
  if (!from || !to) throw new Error('no handles');
  await page.mouse.move(from.x + 22, from.y + 22);
  await page.mouse.down();
  await page.mouse.move(to.x + 56, to.y + 90, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText('No scale from these handles')).toBeVisible();
  await expect(page.getByText(/corners cross/)).toBeVisible();
  const now = await a.boundingBox();
  if (!now) throw new Error('no handle');
  await page.mouse.move(now.x + 22, now.y + 22);
  await page.mouse.down();
  await page.mouse.move(from.x + 22, from.y + 22, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText('Scale at the centre')).toBeVisible();
  // Shown at once, but only what the store has taken is there on another page's load.
  await expect
    .poll(async () => {
      const [text = ''] = await storedTexts(page, 'face/lectern-slope');
      const { body }: { body: { scale: { corners: [number, number][] } } } = JSON.parse(text);
      const [[left] = [1], [right] = [0]] = body.scale.corners;
      return left < right;
    })
    .toBe(true);

  await page.goto('/face/lectern-slope');
  await page.getByRole('button', { name: 'Mark it on the picture' }).click();
  await tapAt(page, /^Face to scale/, { width: 600, height: 450 }, [[200, 200], [300, 200]]); // prettier-ignore
  await expect(page.getByText('2 of at least 3 points')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Next: decide the repair' })).toBeDisabled();
  const third = (await drawing(page, /^Face to scale/, { width: 600, height: 450 })).at(250, 260);
  await page.mouse.click(third.x, third.y);
  await expect(page.getByText('Perimeter')).toBeVisible();
  await page.getByRole('button', { name: 'Points as numbers' }).click();
  await page.getByRole('button', { name: 'Add a point' }).click();
  const x = page.getByRole('textbox', { name: 'Point 4, right' });
  await x.fill('400');
  await x.press('Enter');
  const y = page.getByRole('textbox', { name: 'Point 4, down' });
  await y.fill('205');
  await y.press('Enter');
  await expect(page.getByText('The outline crosses itself')).toBeVisible();
  await page.getByRole('button', { name: 'Remove point 4' }).click();
  await expect(page.getByText('Perimeter')).toBeVisible();
});

test('a temperature of −40 is refused and the one before still counts; cold gives no clamp time', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/shop');
  const field = page.getByRole('textbox', { name: 'Temperature in the shop, °C' });
  await field.fill('-40');
  await field.press('Enter');
  await expect(page.getByText('“-40” is not a number between -10 and 45')).toBeVisible();
  await field.fill('4');
  await field.press('Enter');
  await expect(field).toHaveValue('4');
  await page.getByRole('link', { name: 'Pieces' }).click();
  await page.getByRole('link', { name: /^Lectern/ }).click();
  await page.getByRole('link', { name: /^Glue and press/ }).click();
  await expect(page.getByText('Too cold for this glue')).toBeVisible();
  await expect(page.getByText(/No clamp time is given/)).toBeVisible();
  await expect(page.getByText('Clamps stay on')).toBeHidden();
});

test('bad import files change nothing', async ({ page }) => {
  await bringDemo(page);
  const good = await (await page.request.get('/demo/reading-room.lantern.json')).text();
  await page.goto('/data');
  for (const [name, text, message] of [
    ['poem.json', 'Roses are red', 'is no backup of this app'],
    ['poem.zip', 'PK and then roses', 'is cut off or damaged'],
    ['half.json', good.slice(0, good.length / 2), 'is cut off or damaged'],
    ['newer.json', good.replace('"formatVersion":1', '"formatVersion":7'), 'was written by a newer version'],
    ['proto.json', good.replace('"client":"', '"__proto__":{"x":1},"client":"'), 'is not safe to read'],
  ] as const) {
    await pick(page, 'Read in a file', { name, mimeType: 'application/json', buffer: Buffer.from(text) });
    await expect(page.getByRole('alert')).toContainText(message);
    await expect(page.getByRole('alert')).toContainText('Nothing was changed.');
    await page.getByRole('button', { name: 'Close message' }).click();
  }
  await page.goto('/');
  for (const name of [/Lectern/, /Card-index cabinet/, /Settle/])
    await expect(page.getByRole('link', { name })).toBeVisible();
});

test('a full browser says so, keeps what it had, and takes in all of a file or nothing', async ({
  page,
  context,
}) => {
  const cdp = await context.newCDPSession(page);
  await page.goto('/');
  const { origin } = new URL(page.url());
  await cdp.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 400_000 });
  await page.getByRole('button', { name: 'Add a piece' }).click();
  const name = page.getByRole('textbox', { name: 'Name' });
  await name.fill('Kept');
  await name.blur();
  await page.goto('/demo');
  await page.getByRole('button', { name: 'Bring them in' }).click();
  await expect(page.getByRole('alert')).toContainText('The browser has no room left');
  await page.goto('/');
  await expect(page.getByRole('link', { name: /^Kept/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Lectern/ })).toBeHidden();
  expect(await storedTexts(page, 'veneer/')).toEqual([]);
  await cdp.send('Storage.overrideQuotaForOrigin', { origin });
  await bringDemo(page);
  await expect(page.getByRole('link', { name: /^Kept/ })).toBeVisible();
});

test('two windows: different fields both stay, the same field asks', async ({ page, context }) => {
  await bringDemo(page);
  await page.goto('/piece/lectern/about');
  const other = await context.newPage();
  await other.goto('/piece/lectern/about');
  await other.getByRole('textbox', { name: 'Owner' }).fill('Parish council');
  await other.getByRole('textbox', { name: 'Owner' }).blur();
  await expect(page.getByRole('textbox', { name: 'Owner' })).toHaveValue('Parish council');
  await page.getByRole('textbox', { name: 'Notes' }).fill('From the first window');
  await page.getByRole('textbox', { name: 'Notes' }).blur();
  await expect(other.getByRole('textbox', { name: 'Notes' })).toHaveValue('From the first window');
  // The other window stops hearing, as a sleeping tab does, and both change the same field.
  await other.evaluate(() => {
    BroadcastChannel.prototype.postMessage = () => undefined;
  });
  await page.evaluate(() => {
    BroadcastChannel.prototype.postMessage = () => undefined;
  });
  await page.getByRole('textbox', { name: 'Owner' }).fill('Reading room, first window');
  await page.getByRole('textbox', { name: 'Owner' }).blur();
  await other.getByRole('textbox', { name: 'Owner' }).fill('Reading room, second window');
  await other.getByRole('textbox', { name: 'Owner' }).blur();
  await expect(other.getByRole('alert').filter({ hasText: 'was changed in another window' })).toBeVisible();
  // What was typed stands in its field until that is settled.
  await expect(other.getByText('Not saved yet. What you typed stands here.')).toBeVisible();
  await other.getByRole('button', { name: 'Use mine' }).click();
  await expect(other.getByText('Not saved yet. What you typed stands here.')).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Owner' })).toHaveValue('Reading room, second window');
});

test('a corrupt record is set aside and the rest works', async ({ page }) => {
  await bringDemo(page);
  await page.evaluate(async () => {
    const request = indexedDB.open('rustic-lantern');
    const db = await new Promise<IDBDatabase>(
      (resolve) => (request.onsuccess = () => resolve(request.result)),
    );
    const [table] = [...db.objectStoreNames];
    const tx = db.transaction(table ?? '', 'readwrite');
    tx.objectStore(table ?? '').put('{"kind":"piece","id":"settle","version":1', 'piece/settle');
    await new Promise((resolve) => (tx.oncomplete = resolve));
    db.close();
  });
  await page.goto('/');
  await expect(page.getByText('1 of the stored pieces could not be read.')).toBeVisible();
  await expect(page.getByRole('link', { name: /Lectern/ })).toBeVisible();
  await page.goto('/data');
  await expect(page.getByText('1 record could not be read')).toBeVisible();
});
