/** How Debian's Chromium is started for tests, pictures and figures: by itself, and asking nothing of the network. */
export const chromiumOptions = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}
