import { expect, kept, newSession, test } from './page'

test('a session is written, fixed and sent with the keyboard alone', async ({ app }) => {
  await newSession(app)
  await app.keyboard.type('title By keys\nsport run\n\n6x800m w/ 90" rest')
  await app.keyboard.press('Alt+Enter')
  await expect(app.locator('.cm-line', { hasText: '6 times, drop last recovery' })).toBeVisible()
  await app.keyboard.press('Control+z')
  await expect(app.locator('.cm-line', { hasText: '6x800m' })).toBeVisible()
  await app.keyboard.press('Control+Shift+Z')
  await expect(app.locator('.cm-line', { hasText: '6 times, drop last recovery' })).toBeVisible()
  await expect(kept(app)).toBeVisible()

  const words = await app.locator('.cm-content').innerText()
  for (let tabs = 0; tabs < 24; tabs++) {
    await app.keyboard.press('Tab')
    if (await app.locator('[data-test=send-to-watch]').evaluate(element => element === document.activeElement)) break
  }
  await expect(app.locator('[data-test=send-to-watch]')).toBeFocused()
  expect(await app.locator('.cm-content').innerText()).toBe(words)
  await app.keyboard.press('Enter')
  await expect(app.getByText('Everything fits as written.')).toBeVisible()
  for (let tabs = 0; tabs < 12; tabs++) {
    await app.keyboard.press('Tab')
    if (await app.locator('[data-test=send]').evaluate(element => element === document.activeElement)) break
  }
  await app.keyboard.press('Enter')
  await expect(app.locator('[data-test=receipt]')).toContainText('read back and equal')
  await app.keyboard.press('Escape')
  await expect(app.locator('[data-test=receipt]')).toBeHidden()
})

test('rows go into a repeat and out of it by keys that no browser has, and a whole word is not completed', async ({ app }) => {
  await newSession(app)
  await expect(app.locator('.cm-content[aria-autocomplete=list]')).toBeVisible()
  await app.keyboard.type('sport run\n\n3 times\n5:00')
  await app.keyboard.press('Alt+.')
  await expect(app.locator('.cm-line', { hasText: /^ {2,}5:00$/ })).toBeVisible()
  await app.keyboard.press('Alt+,')
  await app.keyboard.press('Alt+,')
  await expect(app.locator('.cm-line', { hasText: /^5:00$/ })).toBeVisible()
  await app.keyboard.type('\n3 k')
  await expect(app.locator('.cm-tooltip-autocomplete')).toBeVisible()
  await app.keyboard.type('m')
  await expect(app.locator('.cm-tooltip-autocomplete')).toBeHidden()
})

test('the sheet read aloud says the session', async ({ app }) => {
  await newSession(app)
  await app.keyboard.type('3 x (9 min @ 4:30-4:40 /km, 4 min recovery)')
  const aloud = app.getByRole('list', { name: 'The session, read aloud' }).getByRole('listitem')
  await expect(aloud).toHaveText(['3 times: 9 minutes at 4:30 to 4:40 per kilometre, then 4 minutes recovery'])
})

test("each row's place in the text is lit by its remark", async ({ app }) => {
  await newSession(app)
  await app.keyboard.type('10:00\nqwerty 12\n20:00')
  await app.keyboard.press('Control+Home')
  await app.getByRole('button', { name: 'Line 2' }).first().click()
  await expect(app.locator('.cm-activeLine')).toHaveText('qwerty 12')
})
