import type { Page } from '@playwright/test'
import { expect, expectAccessible, kept, newSession, paste, script, test } from './page'

const lines = (page: Page) =>
  script(page).evaluate(element => Array.from(element.querySelectorAll('.cm-line')).map(line => line.textContent))
const rowsAre = (page: Page, wanted: string[]) =>
  expect.poll(async () => (await lines(page)).slice(2).filter(line => line !== '')).toEqual(wanted)

/** Types rows of a run and puts the caret in the line that holds some words. */
async function begin(page: Page, rows: string): Promise<void> {
  await newSession(page)
  await paste(page, `sport run\n\n${rows}`)
  await expect(page.locator('[data-test=steps]')).not.toHaveText('0')
}
async function caretAt(page: Page, line: number): Promise<void> {
  await script(page).focus()
  await page.keyboard.press('Control+Home')
  for (let step = 1; step < line; step++) await page.keyboard.press('ArrowDown')
}

test('a session is shaped with keys alone, taken back, and done again', async ({ app }) => {
  await begin(app, '10:00\n400 m @ 5k effort\nrecovery 1:30')
  await caretAt(app, 4)
  await app.keyboard.press('Alt+r')
  await rowsAre(app, ['10:00', '2 times', '  400 m @ 5k effort', 'recovery 1:30'])
  await caretAt(app, 6)
  await app.keyboard.press('Alt+ArrowUp')
  await rowsAre(app, ['10:00', 'recovery 1:30', '2 times', '  400 m @ 5k effort'])
  await app.keyboard.press('Control+z')
  await rowsAre(app, ['10:00', '2 times', '  400 m @ 5k effort', 'recovery 1:30'])
  await caretAt(app, 5)
  await app.keyboard.press('Alt+=')
  await app.keyboard.press('Alt+c')
  await app.keyboard.press('Alt+o')
  await rowsAre(app, ['10:00', '3 times', '  400 m @ 5k effort', '  off 400 m @ 5k effort', 'recovery 1:30'])
  await app.keyboard.press('Alt+Backspace')
  await caretAt(app, 4)
  await app.keyboard.press('Alt+k')
  await rowsAre(app, ['10:00', '3 times', '  400 m @ 5k effort', '3 times', '  400 m @ 5k effort + 3 %', 'recovery 1:30'])
  await caretAt(app, 5)
  await app.keyboard.press('Alt+i')
  await expect(app.locator('[data-test=row-length]')).toBeFocused()
  await app.keyboard.type('800 m')
  await app.keyboard.press('Enter')
  await rowsAre(app, ['10:00', '3 times', '  800 m @ 5k effort', '3 times', '  400 m @ 5k effort + 3 %', 'recovery 1:30'])
  await expect(script(app)).toBeFocused()
})

test('what does not fit is said and nothing is changed', async ({ app }) => {
  await begin(app, '10:00\n400 m @ 5k effort')
  await caretAt(app, 3)
  await app.keyboard.press('Alt+i')
  await app.keyboard.type('soon')
  await app.keyboard.press('Enter')
  await expect(app.locator('[data-test=refused]')).toContainText('"soon" is not a length')
  await rowsAre(app, ['10:00', '400 m @ 5k effort'])
})

test('undo reaches back over a reload', async ({ app }) => {
  await begin(app, '10:00\n5:00 @ 5k effort')
  await caretAt(app, 4)
  await app.keyboard.press('Alt+c')
  await rowsAre(app, ['10:00', '5:00 @ 5k effort', '5:00 @ 5k effort'])
  await expect(kept(app)).toBeVisible()
  await expect
    .poll(() =>
      app.evaluate(
        () =>
          new Promise(resolve => {
            const opening = indexedDB.open('keyval-store')
            opening.onsuccess = () => {
              const reading = opening.result.transaction('keyval').objectStore('keyval').getAll()
              reading.onsuccess = () => resolve(JSON.stringify(reading.result).split('5:00 @ 5k effort').length > 2)
            }
          }),
      ),
    )
    .toBe(true)
  await app.reload()
  await rowsAre(app, ['10:00', '5:00 @ 5k effort', '5:00 @ 5k effort'])
  await script(app).focus()
  await app.keyboard.press('Control+z')
  await rowsAre(app, ['10:00', '5:00 @ 5k effort'])
  await app.keyboard.press('Control+Shift+Z')
  await rowsAre(app, ['10:00', '5:00 @ 5k effort', '5:00 @ 5k effort'])
})

test('a block is dragged by its roundel and a row by its clock, each an edit of the text', async ({ app }) => {
  await begin(app, '10:00\n3 times\n  400 m @ 5k effort\n  recovery 1:00\n5:00')
  const clock = (path: string) => app.locator(`.sheet-clock[data-path="${path}"]`)
  const roundel = (await app.locator('.sheet-roundel').boundingBox())!
  const first = (await clock('1').boundingBox())!
  await app.mouse.move(roundel.x + 8, roundel.y + 8)
  await app.mouse.down()
  await app.mouse.move(first.x + 8, first.y + 20, { steps: 6 })
  await app.mouse.move(first.x + 8, first.y + 2, { steps: 3 })
  await expect(app.locator('.sheet-drop')).toBeVisible()
  await app.mouse.up()
  await rowsAre(app, ['3 times', '  400 m @ 5k effort', '  recovery 1:00', '10:00', '5:00'])
  const [last, inner] = [(await clock('3').boundingBox())!, (await clock('1.1').boundingBox())!]
  await app.mouse.move(last.x + 8, last.y + 8)
  await app.mouse.down()
  await app.mouse.move(inner.x + 8, inner.y + 10, { steps: 6 })
  await app.mouse.move(inner.x + 8, inner.y + inner.height - 2, { steps: 3 })
  await app.mouse.up()
  await rowsAre(app, ['3 times', '  400 m @ 5k effort', '  5:00', '  recovery 1:00', '10:00'])
  await script(app).focus()
  await app.keyboard.press('Control+z')
  await rowsAre(app, ['3 times', '  400 m @ 5k effort', '  recovery 1:00', '10:00', '5:00'])
})

test("an end of a row's string is dragged, and the target says it in its own unit", async ({ app }) => {
  await begin(app, '10:00 @ 85-95 %CS\n400 m @ 5k effort')
  const band = app.locator('.sheet-string[data-path="1"] .sheet-band')
  const box = (await band.boundingBox())!
  await app.mouse.move(box.x + box.width, box.y + box.height / 2)
  await app.mouse.down()
  await app.mouse.move(box.x + box.width + 28, box.y + box.height / 2, { steps: 4 })
  await app.mouse.up()
  await expect.poll(async () => (await lines(app))[2]).toMatch(/^10:00 @ 85-10[5-9] %CS$/)
  await app.keyboard.press('Control+z')
  await rowsAre(app, ['10:00 @ 85-95 %CS', '400 m @ 5k effort'])
  const effort = (await app.locator('.sheet-string[data-path="2"] .sheet-band').boundingBox())!
  await app.mouse.move(effort.x + effort.width, effort.y + 4)
  await app.mouse.down()
  await app.mouse.move(effort.x + effort.width + 20, effort.y + 4, { steps: 4 })
  await app.mouse.up()
  await expect(app.locator('[data-test=refused]')).toContainText('5k effort is not said in numbers')
})

test('what a row comes to and its string are written where they stand while the row is typed', async ({ app }) => {
  await begin(app, '10:00\n10:00 @ 85-95 %CS')
  const cell = (path: number) => app.locator(`.sheet-after[data-path="${path}"]`)
  const comes = (path: number) => cell(path).locator('.sheet-comes')
  const band = cell(2).locator('.sheet-band')
  const [first, second, box] = [await comes(1).textContent(), await comes(2).textContent(), (await band.boundingBox())!]
  await cell(1).evaluate(element => (element.id = 'first'))
  await cell(2).evaluate(element => (element.id = 'second'))
  await app.keyboard.press('Control+Home')
  for (let line = 0; line < 2; line++) await app.keyboard.press('ArrowDown')
  await app.keyboard.type('1')
  await expect(app.locator('#first .sheet-comes')).not.toHaveText(first!)
  await expect(comes(2)).toHaveText(second!)
  await app.keyboard.press('ArrowDown')
  await app.keyboard.press('End')
  for (let letter = 0; letter < '95 %CS'.length; letter++) await app.keyboard.press('ArrowLeft')
  await app.keyboard.type('1')
  await rowsAre(app, ['110:00', '10:00 @ 85-195 %CS'])
  await expect(app.locator('#second .sheet-comes')).not.toHaveText(second!)
  await expect(app.locator('#second .sheet-band')).toHaveClass(/\bhardest\b/)
  await expect.poll(async () => (await band.boundingBox())!.width).toBeGreaterThan(box.width + 10)
  await app.keyboard.press('End')
  for (let letter = 0; letter < ' @ 85-195 %CS'.length; letter++) await app.keyboard.press('Backspace')
  await expect(cell(2).locator('.sheet-open')).toBeVisible()
  await expect(band).toHaveCount(0)
})

test('pasted words stay beside the sheet, linked to their rows, and what became none is shown', async ({ app }) => {
  await newSession(app)
  await paste(app, '2 km easy, 6 x 800 @ 5k pace / 90 s jog, 2 km easy\nsee you at the boathouse')
  const drawer = app.getByRole('region', { name: 'As it was pasted' })
  await expect(drawer.locator('.left-over')).toHaveText('see you at the boathouse')
  await app.getByRole('button', { name: 'set out in rows' }).click()
  await expect(script(app)).toContainText('6 times, drop last recovery')
  await drawer.getByRole('button', { name: '6 x', exact: true }).click()
  await expect(app.locator('[data-test=row-length]')).toHaveValue('6 times')
  await expect(kept(app)).toBeVisible()
  await app.reload()
  await expect(drawer).toContainText('6 x 800 @ 5k pace / 90 s jog')
})

test('a chat with greetings, stamps and signs is two sessions, and no word of it is lost', async ({ app }) => {
  await newSession(app)
  const chat = [
    '[18:02] Coach: Hi there \u{1F44B} hope the legs are good after Sunday!',
    "[18:02] Coach: here's the week:",
    '[18:03] Coach: *Tue*',
    '[18:03] Coach: 2 km easy',
    '[18:03] Coach: 6 x 800 m @ 5k pace / 90 s jog',
    '[18:03] Coach: 2 km easy',
    '[18:04] Coach: ',
    '[18:04] Coach: *Thu*',
    '[18:04] Coach: 15 min wu',
    '[18:04] Coach: 3 x 8 min @ threshold / 2 min easy \u{1F525}',
    '[18:04] Coach: 10 min cd',
    '[18:05] Coach: Any questions just shout, see you at the boathouse \u{1F64C}',
  ]
  await paste(app, chat.join('\n'))
  await expect(app.locator('[data-test=several]')).toContainText('2 sessions')
  await app.click('[data-test=to-week]')
  const days = app.locator('[data-test=read-day] pre')
  await expect(days).toHaveCount(2)
  await expect(days.first()).toHaveText(
    /^warm-up 2 km\s+6 times, drop last recovery\s+800 m @ 5k effort\s+recovery 1:30 jog\s+cool-down 2 km$/,
  )
  await expect(days.last()).toHaveText(
    /^warm-up 15:00\s+3 times, drop last recovery\s+8:00 @ threshold effort\s+recovery 2:00\s+cool-down 10:00$/,
  )
  await expect(app.locator('[data-test=message-line]')).toHaveCount(12)
  await expect(app.locator('[data-test=message-line].not-kept')).toHaveCount(0)
  await expect(app.locator('[data-test=message-line].note')).toHaveCount(3)
})

test('suggestions are taken by their fix or dismissed for this session, over a reload too', async ({ app }) => {
  await begin(app, 'warm-up 10:00\n4 times\n  3:00 @ 10k effort\n  recovery 2:00\ncool-down 10:00')
  const suggestion = app.locator('[data-test=suggestion]')
  await expect(suggestion).toContainText('Last recovery')
  await suggestion.getByRole('button', { name: 'leave it out after the last round' }).click()
  await expect(script(app)).toContainText('4 times, drop last recovery')
  await expect(suggestion).toHaveCount(0)
  await app.fill('[data-test=today]', '20')
  await expect(suggestion).toContainText('Too long for today')
  await suggestion.getByRole('button', { name: /Dismiss/ }).click()
  await expect(app.getByText('1 dismissed.')).toBeVisible()
  await expect(kept(app)).toBeVisible()
  await app.reload()
  await app.fill('[data-test=today]', '20')
  await expect(app.getByText('1 dismissed.')).toBeVisible()
})

test('another size is previewed before it is taken, and a variant says what differs', async ({ app }) => {
  await begin(app, 'warm-up 15:00\n8 times, drop last recovery\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00')
  await app.fill('[data-test=size-minutes]', '50')
  await app.click('[data-test=propose]')
  await expect(app.locator('[data-test=proposal]').first()).toContainText('5 rounds instead of 8')
  await expect(app.locator('[data-test=proposal] .changed').first()).toContainText('5 times')
  await expect(kept(app)).toBeVisible()
  await app.click('[data-test=save-variant]')
  await expect(app.locator('[data-test=title]')).toContainText('variant')
  await app.fill('[data-test=size-minutes]', '50')
  await app.click('[data-test=propose]')
  await app.locator('[data-test=take-size]').click()
  await expect(script(app)).toContainText('5 times, drop last recovery')
  await app.getByRole('button', { name: 'what differs' }).click()
  await expect(app.locator('[data-test=variant-diff] .changed')).toContainText('5 times, drop last recovery')
})

test('the rows below a row that is typed stay where they are until typing pauses', async ({ app }) => {
  await begin(app, '6:00 @ 4:20-4:25 /km\n5:00')
  await caretAt(app, 3)
  const height = () =>
    app
      .locator('.cm-line')
      .nth(2)
      .evaluate(line => line.getBoundingClientRect().height)
  const shown = await app.evaluateHandle(() => {
    const heights: number[] = []
    const note = () => heights.push(document.querySelectorAll('.cm-line')[2]!.getBoundingClientRect().height)
    window.addEventListener('keydown', () => requestAnimationFrame(() => requestAnimationFrame(note)), true)
    return heights
  })
  const [before, sheet] = [await height(), await app.locator('.editor').boundingBox()]
  await app.keyboard.press('4')
  await expect.poll(height).toBeGreaterThan(before)
  expect((await shown.jsonValue())[0]).toBe(before)
  await expect(app.locator('[data-test=row-length]')).toHaveValue('46:00')
  await app.keyboard.press('q')
  await expect(app.locator('.row-panel')).toHaveText('This row is not read yet: the remarks say why.')
  expect(await app.locator('.editor').boundingBox()).toEqual(sheet)
})

test('words are completed, read out on hover and folded', async ({ app }) => {
  await begin(app, '2 times\n  400 m in 1:22-1:24\n  rest 2:00\n5:00')
  await app.keyboard.press('Control+End')
  await app.keyboard.type('\n3:00 @ thr')
  await expect(app.locator('.cm-tooltip-autocomplete li[aria-selected]')).toContainText('threshold effort')
  await expect(async () => {
    await app.keyboard.press('Tab')
    await expect(script(app)).toContainText('threshold effort', { timeout: 300 })
  }).toPass()
  await rowsAre(app, ['2 times', '  400 m in 1:22-1:24', '  rest 2:00', '5:00', '3:00 @ threshold effort'])
  await app.locator('.cm-line', { hasText: '2 times' }).hover({ position: { x: 30, y: 12 } })
  await expect(app.locator('.sheet-hover')).toHaveText('2 times: 400 metres in 1:22 to 1:24, then 2 minutes standing')
  await app.locator('.cm-foldGutter span[title="Fold line"]').first().click()
  await expect(script(app)).not.toContainText('400 m')
})

test('nothing on the desk stands in the way of a screen reader, with all of it open', async ({ app }) => {
  await begin(app, 'warm-up 15:00\n8 times\n  3:00 @ 5k effort\n  recovery 2:00\ncool-down 10:00\n5m')
  await paste(app, '\n2 km easy, 3 x 400')
  await app.fill('[data-test=size-minutes]', '50')
  await app.click('[data-test=propose]')
  await expectAccessible(app)
  await app.getByRole('button', { name: 'Keys', exact: true }).click()
  await expect(app.getByRole('dialog', { name: 'Keys' })).toBeVisible()
  await expect.poll(() => app.locator('.el-overlay').evaluate(overlay => overlay.getAnimations({ subtree: true }).length)).toBe(0)
  await expectAccessible(app)
})
