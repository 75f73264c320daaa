/** Debian's headless shell, and its whole browser. */
export const SHELL: string
export const BROWSER: string
/** The program that opens pages. */
export const CHROMIUM: string
/** What it is started with. */
export const CHROMIUM_ARGS: string[]
