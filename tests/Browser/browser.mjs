/** Debian's Chromium without its windows, which takes half the processor time of the whole; nothing reaches for the network. */
export const launchOptions = {
    executablePath: '/usr/bin/chromium-headless-shell',
    args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync',
        '--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream'],
};
