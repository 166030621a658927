import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { expectAccessible, openOtter, saved } from './helpers';

/** A bear of six parts; its sentences say nothing of arms and legs. */
const bear = `Toy: Willow bear
Terms: US
Body
Start: bottom
R1: 6 sc in magic ring (6)
R2: inc x 6 (12)
R3: (sc, inc) x 6 (18)
R4: (2 sc, inc) x 6 (24)
R5: (3 sc, inc) x 6 (30)
R6-R16: sc around (30)
R17: (3 sc, dec) x 6 (24)
R18-R20: sc around (24)
Stuff firmly.

Head
R1: 6 sc in magic ring (6)
R2: inc x 6 (12)
R3: (sc, inc) x 6 (18)
R4: (2 sc, inc) x 6 (24)
R5: (3 sc, inc) x 6 (30)
R6: (4 sc, inc) x 6 (36)
R7-R13: sc around (36)
R14: (4 sc, dec) x 6 (30)
R15: (3 sc, dec) x 6 (24)
Eyes: 9 mm, between R9 and R10, 6 showing
Stuff firmly.

Ear (make 2)
R1: 6 sc in magic ring (6)
R2: inc x 6 (12)
R3: sc around (12)

Arm (make 2)
R1: 6 sc in magic ring (6)
R2: (2 sc, inc) x 2 (8)
R3-R12: sc around (8)

Leg (make 2)
R1: 8 sc in magic ring (8)
R2: (3 sc, inc) x 2 (10)
R3-R10: sc around (10)

Tail
R1: 6 sc in magic ring (6)
R2: inc x 6 (12)

Assembly
Sew the head to the body.
Flatten the ears and sew them to the head on round 6, 6 stitches from the front.
Sew the tail to the back of the body on round 5.
`;

test('a bear is pasted, its arms and legs are placed and moved by thumb, and the sheet says where', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Paste a pattern' }).click();
  await page.getByRole('textbox', { name: 'The pattern' }).fill(bear);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await page.getByRole('tab', { name: /Together/ }).click();
  await expect(page.getByRole('img', { name: 'Willow bear, put together' })).toBeVisible();
  await expect(page.getByRole('group', { name: 'Head' }).getByRole('status')).toHaveText(
    'Its edge to the edge of the body',
  );

  await page.getByRole('button', { name: 'Place the arm on the body' }).click();
  await page.getByRole('button', { name: 'Place the leg on the body' }).click();
  const arm = page.getByRole('group', { name: 'Left arm' });
  await expect(arm.getByRole('status')).toContainText('Round 11 of the body');
  for (let times = 0; times < 4; times += 1)
    await page.getByRole('button', { name: 'Left arm: one round up' }).click();
  await expect(arm.getByRole('status')).toContainText('Round 15 of the body');
  const leg = page.getByRole('group', { name: 'Left leg' });
  for (let times = 0; times < 6; times += 1)
    await page.getByRole('button', { name: 'Left leg: one round down' }).click();
  await page.getByRole('button', { name: 'Left leg: one stitch nearer to the front' }).click();
  await expect(leg.getByRole('status')).toContainText('Round 5 of the body');
  await expect(page.getByRole('group', { name: 'Right leg' }).getByRole('status')).toContainText(
    'Round 5 of the body',
  );
  await expect(page.getByText('No place yet')).toBeHidden();

  await page.getByRole('button', { name: 'Left arm: sew it, stitch by stitch' }).click();
  await expect(arm.getByRole('list', { name: 'Every stitch' }).getByRole('listitem')).toHaveCount(8);
  await page.getByRole('radio', { name: 'Back', exact: true }).click();
  await expect(page.getByText('180°')).toBeVisible();
  await expectAccessible(page);
  await saved(page);

  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(leg.getByRole('status')).toContainText('Round 5 of the body');
  await page.getByRole('button', { name: 'Redo' }).click();
  await page.getByRole('tab', { name: 'Sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Putting it together' })).toBeVisible();
  await expect(page.getByText(/^Left arm: Round 15 of the body/)).toBeVisible();
});

test('where a place is not said it is asked, and counted on the tab', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Paste a pattern' }).click();
  await page
    .getByRole('textbox', { name: 'The pattern' })
    .fill(bear.replace(' on round 5.', '.').replace('Sew the head to the body.\n', ''));
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await page.getByRole('tab', { name: 'Together, 1 to settle' }).click();
  await expect(page.getByText(/does not say on which round/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Place the head on the body' })).toBeVisible();
});

test('after pinning both sides are counted, and it is said what to move', async ({ page }) => {
  await openOtter(page);
  await page.getByRole('tab', { name: 'Together' }).click();
  await page.getByRole('button', { name: 'Check both sides: left arm and right arm' }).click();
  const both = page.getByRole('region', { name: 'Both sides: left arm and right arm' });
  await expect(both.getByText('they are level and as far from the front')).toBeVisible();
  await both.getByRole('button', { name: 'Count the top pins too' }).click();
  await expect(both.getByText('level, as far from the front and turned alike')).toBeVisible();
  await both.getByRole('textbox', { name: 'Middle of the right arm: round' }).fill('16');
  await expect(both.getByText(/The right arm is .* mm lower\./)).toBeVisible();
  await expect(both.getByText(/Move the right arm to round 18, stitch/)).toBeVisible();
  await both.getByRole('textbox', { name: 'Middle of the right arm: round' }).fill('99');
  await expect(both.getByText('there is no such round')).toBeVisible();
  await expectAccessible(page);
});

test('the maps show where parts meet: the stitches of the wall, and which stitch of the edge comes on top', async ({
  page,
}) => {
  await openOtter(page);
  await page.getByRole('link', { name: /^Open Body/ }).click();
  await page.getByRole('tab', { name: 'Map' }).click();
  const body = page.getByRole('img', { name: /^Body unrolled/ });
  for (const limb of ['left arm', 'right arm', 'left leg', 'right leg'])
    await expect(body.getByText(limb, { exact: true }).last()).toBeVisible();
  await page.getByRole('button', { name: /^Back to/ }).click();
  await page.getByRole('link', { name: /^Open Tail/ }).click();
  await page.getByRole('tab', { name: 'Map' }).click();
  const tail = page.getByRole('img', { name: /^Tail unrolled/ });
  for (const side of ['top', 'bottom', 'left', 'right'])
    await expect(tail.getByText(side, { exact: true })).toHaveCount(2);
});

test('a tap on the drawing takes a part in the hand: pads, arrow keys and a thumb move it there', async ({
  page,
}) => {
  await openOtter(page);
  await page.getByRole('tab', { name: 'Together' }).click();
  const hand = page.getByRole('group', { name: 'The part in your hand' });
  await expect(hand.getByText('Tap a part to move it.')).toBeVisible();
  const drawing = page.getByRole('img', { name: 'Pondside otter, put together' });
  const { x, y } = (await drawing.boundingBox())!;
  // The left arm as the otter stands.
  await drawing.click({ position: { x: 90, y: 165 } });
  await expect(hand.getByRole('heading', { name: 'Left arm' })).toBeVisible();
  await expect(hand.getByText('Round 18 of the body')).toBeVisible();
  await hand.getByRole('button', { name: 'Left arm in your hand: one round down' }).click();
  await expect(hand.getByText('Round 17 of the body')).toBeVisible();

  const knob = page.getByRole('button', { name: 'Draw the left arm over the toy' });
  const at = (await knob.boundingBox())!;
  const middle = { x: at.x + at.width / 2, y: at.y + at.height / 2 };
  await page.mouse.move(middle.x, middle.y);
  await page.mouse.down();
  await page.mouse.move(middle.x, middle.y + 30, { steps: 6 });
  await page.mouse.up();
  await expect(hand.getByText('Round 13 of the body')).toBeVisible();
  await expect(page.getByRole('group', { name: 'Right arm' }).getByRole('status')).toContainText(
    'Round 13 of the body',
  );
  await knob.press('ArrowUp');
  await expect(hand.getByText('Round 14 of the body')).toBeVisible();
  await page.waitForTimeout(700);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(hand.getByText('Round 17 of the body')).toBeVisible();

  // A swipe beside it turns the toy; what an edge holds says so.
  await page.mouse.move(x + 300, y + 280);
  await page.mouse.down();
  await page.mouse.move(x + 210, y + 282, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByText('0°', { exact: true })).toBeHidden();
  for (let tries = 0; tries < 12; tries += 1) {
    if (await hand.getByRole('heading', { name: 'Body' }).isVisible()) break;
    await hand.getByRole('button', { name: 'The next part' }).click();
  }
  await expect(hand.getByText(/It stays where it is/)).toBeVisible();
  await expectAccessible(page);
});

test('the part in the hand is turned and tilted by pads, and the list of stitches goes by it', async ({
  page,
}) => {
  await openOtter(page);
  await page.getByRole('tab', { name: 'Together' }).click();
  const hand = page.getByRole('group', { name: 'The part in your hand' });
  await page
    .getByRole('img', { name: 'Pondside otter, put together' })
    .click({ position: { x: 90, y: 165 } });
  await expect(hand.getByRole('heading', { name: 'Left arm' })).toBeVisible();
  // The text has them droop by 30° already.
  await hand.getByRole('button', { name: 'Left arm in your hand: turn it or tilt it' }).click();
  for (let times = 0; times < 2; times += 1)
    await hand.getByRole('button', { name: 'Left arm in your hand: its end lower' }).click();
  await expect(hand.getByText('Points left and down.')).toBeVisible();
  await hand.getByRole('button', { name: 'Left arm in your hand: turn it clockwise' }).click();
  const left = page.getByRole('group', { name: 'Left arm', exact: true });
  await expect(left.getByText(/^Turned \d+° clockwise/)).toBeVisible();
  await expect(left.getByText(/^Hold its far end 60° lower/)).toBeVisible();
  await expect(
    page.getByRole('group', { name: 'Right arm', exact: true }).getByText(/^Turned \d+° anticlockwise/),
  ).toBeVisible();
  await expectAccessible(page);
});

test('the toy is saved as a picture and as a form, and it is said how it stands', async ({ page }) => {
  await openOtter(page);
  await page.getByRole('tab', { name: 'Together' }).click();
  await expect(page.getByText(/As it is drawn it leans back .* and rests on the left leg/)).toBeVisible();
  const saved = async (button: string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: button }).click(),
    ]);
    return { name: file.suggestedFilename(), bytes: await readFile(await file.path()) };
  };
  const picture = await saved('Save the toy as a picture');
  expect(picture.name).toBe('pondside-otter.png');
  // Signature of a PNG, and a width of 1600.
  expect(picture.bytes.subarray(1, 4).toString()).toBe('PNG');
  expect(picture.bytes.readUInt32BE(16)).toBe(1600);
  const glb = await saved('Save the toy as a form, GLB');
  expect(glb.name).toBe('pondside-otter.glb');
  expect(glb.bytes.subarray(0, 4).toString()).toBe('glTF');
  const obj = await saved('Save the toy as a form, OBJ');
  expect(obj.bytes.toString()).toMatch(/^o left arm$/m);
});

test('a body under its head is pinned at the front, the back and both sides, and its text opens at its name', async ({
  page,
}) => {
  await openOtter(page);
  await page.getByRole('tab', { name: 'Together' }).click();
  await page.getByRole('button', { name: 'Body: sew it, stitch by stitch' }).click();
  for (const where of ['front', 'back', 'left', 'right'])
    await expect(
      page.getByText(new RegExp(`^${where}: its stitch \\d+ to round 23, stitch \\d+$`)),
    ).toBeVisible();
  // Ears over several rounds have a top pin; it is counted like that of the arms.
  await page.getByRole('button', { name: 'Check both sides: left ear and right ear' }).click();
  const ears = page.getByRole('region', { name: 'Both sides: left ear and right ear' });
  await ears.getByRole('button', { name: 'Count the top pins too' }).click();
  await expect(ears.getByText('level, as far from the front and turned alike')).toBeVisible();

  await page.getByRole('tab', { name: 'Parts' }).click();
  const lineAtTop = async (part: RegExp) => {
    await page.getByRole('link', { name: part }).click();
    await page.getByRole('tab', { name: 'Text' }).click();
    const text = page.getByRole('textbox', { name: 'Pattern text' });
    await expect(text).toBeVisible();
    return page.getByRole('region', { name: 'The text' }).evaluate((region) => region.scrollTop);
  };
  expect(await lineAtTop(/^Open Head/)).toBe(0);
  await page.getByRole('button', { name: 'Back to Pondside otter' }).click();
  expect(await lineAtTop(/^Open Body/)).toBeGreaterThan(400);
});

test('nothing on the list for the fair yet: one tap to where it is put', async ({ page }) => {
  await page.goto('/fair');
  await page.getByRole('button', { name: 'To the list', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'To buy' })).toBeVisible();
});
