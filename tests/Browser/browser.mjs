/** Debian's Chromium, without anything that would reach for the network. */
export const launchOptions = {
    executablePath: '/usr/bin/chromium',
    args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync',
        '--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream'],
};
