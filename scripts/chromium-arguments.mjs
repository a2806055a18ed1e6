/** Arguments with which Chromium runs here: headless, without a network of its own, and as root without a sandbox. */
export function chromiumArguments() {
  const quiet = [
    '--disable-gpu',
    // Letters stand where the font wants them, as in a window, not on whole pixels.
    '--font-render-hinting=none',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ];
  return process.getuid?.() === 0 ? ['--no-sandbox', ...quiet] : quiet;
}
