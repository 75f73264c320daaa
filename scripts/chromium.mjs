// Which Chromium opens the pages: Debian's headless shell, which draws no window around a page; its whole browser where
// there is no shell.
import { existsSync } from 'node:fs'

export const SHELL = '/usr/bin/chromium-headless-shell'
export const BROWSER = '/usr/bin/chromium'

/** The program: what `CHROMIUM` names, the headless shell, or the whole browser. */
export const CHROMIUM = process.env.CHROMIUM ?? (existsSync(SHELL) ? SHELL : BROWSER)

/** What it is started with: headless, and without a word to anybody. */
export const CHROMIUM_ARGS = [
  '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
  '--disable-component-update', '--disable-sync',
]
