import { bringDemo, expect, pdfText, save, test } from './fixtures';

test('old paint under new paint: lead is said before the step, it is scuffed wet, and nothing says to sand the face', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/settle-1/decide');
  await expect(page.getByText('Before you begin')).toBeVisible();
  await expect(
    page.getByText(/^Old paint may hold lead.*No dry sanding, no dry scraping, no heat gun/),
  ).toBeVisible();
  await page.goto('/bench?piece=settle');
  await expect(page.getByText('Your hands')).toBeVisible();
  const scuff = page.getByRole('button', { name: /Scuff the old paint wet/ });
  await scuff.click();
  await expect(
    page.getByText(/Test it for lead first\. Wash with a paint cleaner, then scuff wet with P220/),
  ).toBeVisible();
  await expect(page.getByText(/keep children and food away/).first()).toBeVisible();
  await expect(page.getByText(/Sand the face/)).toHaveCount(0);
});

test('intake: a radio, mould, an old treatment and heat-proof boards are warned of before it is opened', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/piece/cabinet/about');
  await expect(page.getByText('Before you open, clean or move it')).toBeVisible();
  await expect(page.getByText(/^Heat-proof linings and boards/)).toBeVisible();
  await expect(page.getByText(/^Old pest treatments \(arsenic, mercury, DDT, PCP\)/)).toBeVisible();
  await expect(page.getByText(/^Mould harms lungs/)).toBeVisible();
  await page.getByRole('checkbox', { name: 'A radio, lamp or other electric set' }).click();
  await expect(page.getByText(/pull the plug and take the set out first/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/leave them to a qualified person/)).toBeVisible();
});

test('blend, rub-out and the glue-up clock carry their cautions, and the clock’s list stays on the page', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/lectern-2/blend');
  await expect(page.getByText('Before this layer').first()).toBeVisible();
  await expect(page.getByText(/^Solvent vapour harms and ignites/).first()).toBeVisible();
  await expect(page.getByText(/^Oily rags heat themselves/).first()).toBeVisible();
  await expect(page.getByText('Before you sand')).toBeVisible();
  await page.goto('/damage/lectern-1/glueup');
  await expect(page.getByText('Before you begin')).toBeVisible();
  const [first] = await page.getByRole('checkbox').all();
  const box = await first?.boundingBox();
  expect((box?.x ?? 0) + (box?.width ?? 9999)).toBeLessThanOrEqual(page.viewportSize()?.width ?? 0);
  await page.goto('/bench?piece=lectern');
  await page.getByRole('button', { name: /Rub out/ }).click();
  await expect(page.getByText(/^Wood dust is carcinogenic/).first()).toBeVisible();
  await page.getByRole('button', { name: /Take the shellac off/ }).click();
  await expect(page.getByText(/^Solvent vapour harms and ignites/).first()).toBeVisible();
  await page.goto('/bench?piece=table');
  await page
    .getByRole('button', { name: /Strip the old finish/ })
    .first()
    .click();
  await expect(
    page.getByText(/killed people in closed rooms.*Choose another stripper/).first(),
  ).toBeVisible();
});

test('a lifted edge with a bit missing and wax in it: a chain, worked out link by link, down to the bench and the paper', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/cabinet-1/decide');
  await expect(page.getByText('Recommended')).toBeVisible();
  await page.getByRole('button', { name: 'What is known of this damage' }).click();
  const answer = async (question: RegExp, name: string): Promise<void> =>
    page.getByRole('radiogroup', { name: question }).last().getByRole('radio', { name }).click();
  await answer(/Is all of the veneer still there/, 'No');
  await answer(/How does the glue line look inside/, 'Wax or oil');
  await answer(/What is the old glue/, 'Another glue');
  const chain = 'Wash wax or oil out of the glue line, then flood and press, then veneer patch';
  await expect(page.getByText(chain).first()).toBeVisible();
  await page.getByRole('button', { name: /^Choose the recommended/ }).click();
  await page.getByRole('button', { name: 'Work out: veneer patch' }).click();
  await expect(page.getByText('The veneer to cut it from')).toBeVisible();
  await page.goto('/bench?piece=cabinet');
  for (const step of [/Wash the glue line/, /Flood and clamp/, /Glue and press the patch/])
    await expect(page.getByRole('button', { name: step }).first()).toBeVisible();
  await page.goto('/piece/cabinet/record');
  expect(pdfText(await save(page, 'Print the record (PDF)'))).toContain(chain);
});

test('a method is chosen against the advice, with a reason that goes into the report', async ({ page }) => {
  await bringDemo(page);
  await page.goto('/damage/cabinet-1/decide');
  await page.getByRole('button', { name: /^Set aside/ }).click();
  await page.getByRole('button', { name: 'Choose it all the same: Tack with thin cyanoacrylate' }).click();
  await expect(page.getByText('Your choice, against the advice')).toBeVisible();
  const why = page.getByRole('textbox', { name: 'Why, against the advice?' });
  await why.fill('Only for the week of the fair.');
  await why.blur();
  await expect(page.getByText(/^Cyanoacrylate bonds skin/)).toBeVisible();
  await page.goto('/piece/cabinet/report');
  await expect(page.getByText('The worst first')).toBeVisible();
  const text = pdfText(await save(page, 'Report as PDF'));
  expect(text).toContain('Chosen against the advice');
  expect(text).toContain('Only for the week of the fair.');
});

test('where the trade disagrees a way is switched, and the bench follows', async ({ page }) => {
  await bringDemo(page);
  await page.goto('/bench?piece=lectern');
  const order = async (): Promise<boolean> => {
    const titles = await page.getByRole('button', { name: /Take the shellac off|Cut patch and recess/ }).allInnerTexts(); // prettier-ignore
    return (
      titles.findIndex((t) => t.includes('Cut patch')) <
      titles.findIndex((t) => t.includes('Take the shellac'))
    );
  };
  await expect(page.getByRole('button', { name: /Take the shellac off/ })).toBeVisible();
  expect(await order()).toBe(false);
  await page.goto('/piece/lectern');
  await page.getByRole('link', { name: /Where the trade disagrees/ }).click();
  await expect(page.getByText('Patch before or after stripping?')).toBeVisible();
  await page.getByRole('radio', { name: 'Before', exact: true }).first().click();
  await expect(page.getByText('This plan takes, as you switched it')).toBeVisible();
  await page.goto('/bench?piece=lectern');
  await expect(page.getByRole('button', { name: /Take the shellac off/ })).toBeVisible();
  expect(await order()).toBe(true);
});

test('a quick answer for veneer on a face called solid is the least bad, with what would lift its ban', async ({
  page,
}) => {
  await page.goto('/quick');
  await page.getByRole('radio', { name: 'Lifted edge' }).click();
  await page.getByRole('button', { name: 'Build, school, finish in the end' }).click();
  await page.getByRole('radio', { name: 'Solid wood, no veneer' }).click();
  await expect(page.getByText('The least bad: everything has something against it')).toBeVisible();
  await expect(
    page.getByText(/would not stand in the way if the face is veneered after all/).first(),
  ).toBeVisible();
});

/** A quick answer asks for nothing: what is chosen first for each kind shows what its steps do to people. */
const QUICK: readonly { family: string; kind: string; wood?: string; says: readonly RegExp[] }[] = [
  {
    family: 'Splits and bruises',
    kind: 'Dent',
    says: [/sound cord, a socket with a residual-current device/],
  },
  { family: 'Holes and losses', kind: 'Hole', says: [/^A drill that catches/] },
  {
    family: 'Holes and losses',
    kind: 'Broken-out chunk',
    says: [/a sled and a push stick/, /^A router trims/, /^Wood dust/],
  },
  { family: 'Surface', kind: 'Black water mark', says: [/30 to 60 g\/l in plastic or glass, no iron/] },
  {
    family: 'Surface',
    kind: 'Parts of different colour',
    says: [/^Spray mist.*no spark, no pilot light/, /^Solvent vapour/],
  },
  {
    family: 'Veneer',
    kind: 'Missing inlay or banding',
    wood: 'Rosewood',
    says: [/protected: check the rules/, /^Wood dust/],
  },
  {
    family: 'Surface',
    kind: 'Mould or smell inside',
    says: [/nothing is brushed or swept dry/, /asbestos/, /arsenic, mercury/],
  },
];

test('every other caution stands before its steps', async ({ page }) => {
  await page.goto('/quick');
  for (const { family, kind, wood, says } of QUICK) {
    await page.getByRole('radio', { name: family }).click();
    await page.getByRole('radio', { name: kind, exact: true }).click();
    if (wood) await page.getByRole('radio', { name: wood, exact: true }).click();
    for (const words of says) await expect(page.getByText(words).first(), `${kind}: ${words}`).toBeVisible();
  }
});
