import mono from '@fontsource-variable/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-wght-normal.woff2?url'
import monoMore from '@fontsource-variable/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-ext-wght-normal.woff2?url'
import read from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url'
import readMore from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-wght-normal.woff2?url'
import title from '@fontsource-variable/literata/files/literata-latin-wght-normal.woff2?url'
import titleMore from '@fontsource-variable/literata/files/literata-latin-ext-wght-normal.woff2?url'

const latin =
  'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,' +
  'U+2215,U+FEFF,U+FFFD'
const latinMore =
  'U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1E00-1E9F,U+1EF2-1EFF,U+20A0-20AB,U+20AD-20C0'

const face = (family: string, weights: string, url: string, range: string) =>
  `@font-face{font-family:'${family} Variable';font-display:swap;font-weight:${weights};` +
  `src:url(${url}) format('woff2-variations');unicode-range:${range}}`

/** The letters of the application, Latin alone: for others the system has its own. */
const faces = [
  face('Atkinson Hyperlegible Next', '200 800', read, latin),
  face('Atkinson Hyperlegible Next', '200 800', readMore, latinMore),
  face('Atkinson Hyperlegible Mono', '200 800', mono, latin),
  face('Atkinson Hyperlegible Mono', '200 800', monoMore, latinMore),
  face('Literata', '200 900', title, latin),
  face('Literata', '200 900', titleMore, latinMore),
].join('')

/** Half a year, in seconds. */
const rememberedFor = 15_552_000

/**
 * The letters. At first they come after the room has answered, so that on a slow line the words do not wait for them; once they are
 * in the browser they stand from the first frame on.
 */
export function useFonts() {
  const areHere = useCookie('fonts', { maxAge: rememberedFor, sameSite: 'lax', default: () => '' })
  const sheet = { style: [{ key: 'fonts', innerHTML: faces }] }
  if (String(areHere.value) === '1') return void useHead(sheet)
  const head = useHead({})
  useNuxtApp().hook('page:finish', () => {
    head?.patch(sheet)
    areHere.value = '1'
  })
}
