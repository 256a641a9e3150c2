import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from 'playwright-core';
import { chromium as where } from './machine.mjs';

/** Debian's Chromium with an empty profile of its own, kept from reaching out. */
export function openBrowser() {
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
    ],
  });
}

/** A new folder for pictures that are not kept. */
export const scratch = () => mkdtempSync(join(tmpdir(), 'dauer-shots-'));
