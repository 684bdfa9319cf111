import { chromium, type Browser } from '@playwright/test';

/** Debian's Chromium with nothing that reaches out. */
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
};

export function launchChromium(): Promise<Browser> {
  return chromium.launch(chromiumOptions);
}
