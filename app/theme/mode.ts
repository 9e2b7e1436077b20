/** Light or night, as this browser is to show it: as the device has it, or always one. */
export const modes = ['device', 'light', 'night'] as const
export type Mode = (typeof modes)[number]

/** Some years, in seconds. */
const rememberedFor = 100_000_000

/** The mode of this browser: a cookie, so that the server's first words stand in it too. */
export const useMode = () => useCookie<Mode>('mode', { maxAge: rememberedFor, sameSite: 'lax', default: () => 'device' })

/** Shows the page in the mode that is set. */
export function useShownMode() {
  const mode = useMode()
  useHead({ htmlAttrs: { class: () => (mode.value === 'light' || mode.value === 'night' ? mode.value : '') } })
}
