import { core } from './core.mjs'
import { doors } from './doors.mjs'
import { devices } from './devices.mjs'
import { log } from './log.mjs'
import { pages } from './pages.mjs'
import { screens } from './screens.mjs'
import { server } from './server.mjs'

/** Every breakage, with the tests that are to find it. */
export const breakages = [
  ...[...core, ...devices, ...screens].map(breakage => ({ ...breakage, project: 'core' })),
  ...[...server, ...doors].map(breakage => ({ ...breakage, project: 'server' })),
  ...log,
  ...pages.map(breakage => ({ ...breakage, project: 'browser' })),
]
