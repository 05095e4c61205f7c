import { chromium, type Browser } from 'playwright-core'

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

/** Debian's Chromium, without its own calls to the network. */
export function openChromium(): Promise<Browser> {
  return chromium.launch({ executablePath: '/usr/bin/chromium', args: FLAGS })
}
