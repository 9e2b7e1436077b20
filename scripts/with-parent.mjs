/** Ends this process when the one that started it is gone, however it went. */
const parent = Number(process.env.AGONIS_PARENT)
if (parent) {
  setInterval(() => {
    try {
      process.kill(parent, 0)
    } catch {
      process.exit(0)
    }
  }, 500).unref()
}
