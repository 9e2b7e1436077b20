import { object, string } from 'yup'
import { accountOfToken } from '../services/account'
import { takeCookieBack } from '../services/entrance'
import { askToErase, eraseEverything } from '../services/erase'
import { route } from '../services/route'

/** Asked twice: without a key it says what would be gone and gives one; with it, all of that is gone. */
export default route({
  body: object({ key: string().max(100) }),
  async handle({ transaction, owner, database, body, event }) {
    const { key } = body
    if (key === undefined) return transaction(tx => askToErase(tx, owner))
    const home = process.env.AGONIS_HOME_TOKEN
    const isHome = home !== undefined && (await accountOfToken(database, home)) === owner
    await transaction(tx => eraseEverything(tx, owner, key, isHome))
    if (!isHome) await takeCookieBack(event)
    return { erased: true }
  },
})
