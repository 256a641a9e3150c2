import { chromium } from 'playwright-core';
import { chromium as where } from './machine.mjs';

/** Debian's Chromium with an empty profile of its own, kept from reaching out. */
export function openBrowser(more = []) {
  return chromium.launch({
    executablePath: where() ?? '/usr/bin/chromium',
    headless: true,
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-dev-shm-usage',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      ...more,
    ],
  });
}
