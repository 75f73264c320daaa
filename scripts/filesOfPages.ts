/** One file of the client's build, as the build's manifest lists it. */
export interface BuiltFile {
  readonly file: string
  readonly imports?: readonly string[]
  readonly css?: readonly string[]
  readonly isEntry?: boolean
}

/** What a page is made of, beyond what every page loads. */
export interface PageFiles {
  /** Pattern of its address. */
  readonly path: string
  readonly scripts: readonly string[]
  readonly styles: readonly string[]
}

/**
 * Files of every page, from the manifest of a build: what its shell can name before the first script is read.
 *
 * @param manifest files by the source they were made from, such as `pages/kitchen/index.vue`
 * @returns pages with the names of their files, those of the entry left out; none for the page of unknown addresses
 */
export function filesOfPages(manifest: Readonly<Record<string, BuiltFile>>): PageFiles[] {
  const parts = Object.entries(manifest)
  const withImports = (key: string, seen = new Set<string>()): Set<string> => {
    if (!seen.has(key)) {
      seen.add(key)
      for (const one of manifest[key]?.imports ?? []) withImports(one, seen)
    }
    return seen
  }
  const entry = new Set(parts.filter(([, part]) => part.isEntry).flatMap(([key]) => [...withImports(key)]))
  // A page with an address of its own comes before one that takes any name in its place.
  const byName = parts.toSorted(([p], [q]) => Number(p.includes('[')) - Number(q.includes('[')))
  return byName.flatMap(([key]) => {
    const route = /^pages\/(.*?)(?:\/?index)?\.vue$/.exec(key)?.[1]
    if (route === undefined || route.includes('...')) return []
    const own = [...withImports(key)].filter(one => !entry.has(one)).flatMap(one => manifest[one] ?? [])
    return [{
      path: `^/${route.replace(/\[\w+\]/g, '[^/]+')}/?$`,
      scripts: own.map(one => one.file), styles: [...new Set(own.flatMap(one => one.css ?? []))],
    }]
  })
}
