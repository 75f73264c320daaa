/** Written by the build: what each page is made of. */
declare module '#page-files' {
  export const PAGE_FILES: readonly {
    readonly path: string
    readonly scripts: readonly string[]
    readonly styles: readonly string[]
  }[]
}
