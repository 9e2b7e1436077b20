import { expect, expectAccessible, newSession, script, test } from './page'

test('one key finds a room, a session, what was done, or begins the session that is typed', async ({ app }) => {
  await newSession(app)
  const finder = app.locator('[data-test=finder]')
  const found = app.locator('[data-test=found] [role=option]')

  await app.keyboard.press('Control+k')
  await expect(finder).toBeFocused()
  await app.keyboard.type('weeks')
  await expect(found.first()).toHaveText(/room\s*Weeks/)
  await app.keyboard.press('Enter')
  await expect(app).toHaveURL(/\/weeks$/)

  await app.keyboard.press('Control+k')
  await app.keyboard.type('Twelve threes')
  await expect(found.first()).toHaveText(/session\s*Twelve threes/)
  await expect(found.filter({ hasText: 'done' }).first()).toBeVisible()
  await expectAccessible(app)
  await app.keyboard.press('Enter')
  await expect(script(app)).toContainText('title Twelve threes')

  await app.keyboard.press('Control+k')
  await app.keyboard.type('6 x 437 m @ 5k / 90 s jog')
  await expect(found.last()).toContainText('a new session of these words')
  await app.keyboard.press('ArrowUp')
  await expect(found.last()).toHaveAttribute('aria-selected', 'true')
  await app.keyboard.press('Enter')
  await expect(script(app)).toHaveText(/^6 x 437 m @ 5k \/ 90 s jog/)
  await expect(app.locator('[data-test=steps]')).toHaveText('11')
  await app.locator('[data-test=keeping]', { hasText: 'kept,' }).waitFor()
  await app.reload()
  await expect(script(app)).toHaveText(/^6 x 437 m @ 5k \/ 90 s jog/)
})

test('a title with a number in it is found, the search says how it was understood, and a slip is offered what comes near', async ({
  app,
}) => {
  await newSession(app)
  await app.keyboard.type('title Harbour 437 again\n5 min easy')
  await app.locator('[data-test=keeping]', { hasText: 'kept,' }).waitFor()
  await app.keyboard.press('Control+k')
  const found = app.locator('[data-test=found] [role=option]')
  await app.keyboard.type('harbour 437')
  await expect(found.filter({ hasText: 'Harbour 437 again' })).toBeVisible()
  await expect(app.locator('[data-test=how]')).toContainText('“harbour”')
  await app.locator('[data-test=finder]').fill('Twelv therees')
  await expect(found.filter({ hasText: 'Twelve threes' }).filter({ hasText: 'near' })).toBeVisible()
  await expect(found.locator('svg.cord').first()).toBeVisible()
  await app.keyboard.press('Escape')
})

test('what is nowhere is said, and leaving goes back to where the caret stood', async ({ app }) => {
  await newSession(app)
  await app.keyboard.type('10 min easy')
  await app.keyboard.press('Control+k')
  await app.keyboard.type('no such thing at all')
  await expect(app.getByText('Nothing found: looked for')).toBeVisible()
  await app.keyboard.press('Escape')
  await expect(script(app)).toBeFocused()
  await app.keyboard.type(', 5 km @ 10k')
  await expect(script(app)).toHaveText(/^10 min easy, 5 km @ 10k/)
})

test('the caret is back in the words the moment the finder closes, so that no key goes nowhere', async ({ app }) => {
  await newSession(app)
  await app.keyboard.type('10 min easy')
  await app.keyboard.press('Control+k')
  await expect(app.locator('[data-test=finder]')).toBeFocused()
  await app.evaluate(() => {
    document.querySelector('dialog')!.close()
    document.execCommand('insertText', false, ', 5 km @ 10k')
  })
  await expect(script(app)).toHaveText(/^10 min easy, 5 km @ 10k/)
})
