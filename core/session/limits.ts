/** The limits of the contract; `docs/limits.md` states them for readers. */
export const limits = {
  textBytes: 1024 * 1024,
  nesting: 6,
  times: 999,
  flatSteps: 5000,
  seconds: 48 * 3600,
  uploadBytes: 50 * 1024 * 1024,
  titleLength: 120,
} as const
