import { chromium, type Browser } from '@playwright/test';

/** Debian's Chromium with nothing that reaches out. */
const options = {
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
};

/**
 * For journeys, without WebGL: drawn by the processor it would take all of its time, and the box is drawn
 * in lines and faces instead.
 */
export const chromiumOptions = { ...options, args: [...options.args, '--disable-3d-apis'] };

/** A browser that finds this machine under every name, as a tablet finds a computer of the home network. */
export function launchAtHome(): Promise<Browser> {
  return chromium.launch({
    ...chromiumOptions,
    args: [...chromiumOptions.args, '--host-resolver-rules=MAP * 127.0.0.1'],
  });
}

/** A browser for measuring. */
export function launchChromium(): Promise<Browser> {
  return chromium.launch(chromiumOptions);
}

/** A browser for pictures, where WebGL is drawn by the processor. */
export function launchWithWebGL(): Promise<Browser> {
  return chromium.launch({ ...options, args: [...options.args, '--enable-unsafe-swiftshader'] });
}
