import { readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { cruise, type ICruiseResult, type IReporterOutput } from 'dependency-cruiser'

/** A folder or a layer of the core: how much is in it, and which others it imports, values and types alike. */
export interface Part {
  readonly name: string
  readonly files: number
  readonly lines: number
  readonly uses: readonly string[]
}

/** The core as it is built. */
export interface Structure {
  /** The uppermost folders, those that need nothing first. */
  readonly layers: readonly Part[]
  /** Folders that hold files. */
  readonly folders: readonly Part[]
  /** Files and folders that import one another in a circle, values and types alike. */
  readonly circles: { readonly files: readonly (readonly string[])[], readonly folders: readonly (readonly string[])[] }
}

type Arrows = ReadonlyMap<string, ReadonlySet<string>>

/**
 * What a cruise found, where no reporter was asked to make a text of it.
 *
 * @param output of the cruise
 * @returns modules and what they use
 * @throws Error where it is a text
 */
export function cruised(output: IReporterOutput['output']): ICruiseResult {
  if (typeof output === 'string') throw new Error('A report was made in the place of a result.')
  return output
}

/**
 * Draws the core: its layers, its folders, what each imports, and what goes in circles. Tests do not count.
 *
 * @param root folder of a project
 * @returns the structure; folders by name, layers so that each stands after what it uses wherever that can be
 */
export async function describeStructure(root: string): Promise<Structure> {
  const { output } = await cruise(['core'], {
    baseDir: root,
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.test\\.ts$|^(book|test)/' },
    enhancedResolveOptions: { extensions: ['.ts', '.js'] },
  })
  const modules = cruised(output).modules.filter(
    one => one.source.startsWith('core/') && one.source.endsWith('.ts'),
  )
  const files = new Map(
    modules.map(one => [
      one.source,
      new Set(one.dependencies.map(each => each.resolved).filter(each => each.startsWith('core/'))),
    ]),
  )
  const folders = gathered(files, dirname)
  const layers = gathered(files, file => file.split('/').slice(0, file.split('/').length > 2 ? 2 : 1).join('/'))
  const linesOf = (source: string): number => readFileSync(join(root, source), 'utf8').split('\n').length - 1
  const parts = (arrows: Arrows, of: (file: string) => string): Part[] => [...arrows].map(([name, uses]) => {
    const own = [...files.keys()].filter(file => of(file) === name)
    return { name, files: own.length, lines: own.reduce((sum, file) => sum + linesOf(file), 0), uses: [...uses].sort() }
  })
  return {
    layers: fromTheGround(
      parts(layers, file =>
        file
          .split('/')
          .slice(0, file.split('/').length > 2 ? 2 : 1)
          .join('/'),
      ),
    ),
    folders: parts(folders, dirname).sort((p, q) => (p.name < q.name ? -1 : 1)),
    circles: { files: circlesOf(files), folders: circlesOf(folders) },
  }
}

/** The arrows between groups of files; those inside a group are left out. */
function gathered(files: Arrows, of: (file: string) => string): Arrows {
  const arrows = new Map<string, Set<string>>()
  for (const [file, uses] of files) {
    const own = arrows.get(of(file)) ?? new Set<string>()
    for (const used of uses) if (of(used) !== of(file)) own.add(of(used))
    arrows.set(of(file), own)
  }
  return arrows
}

function fromTheGround(parts: readonly Part[]): Part[] {
  const placed: Part[] = []
  const left = [...parts].sort((p, q) => (p.name < q.name ? -1 : 1))
  while (left.length > 0) {
    const ready = left.findIndex(part => part.uses.every(used => placed.some(one => one.name === used)))
    placed.push(...left.splice(Math.max(0, ready), 1))
  }
  return placed
}

/** Groups that reach one another along the arrows (strongly connected components, Tarjan 1972). */
function circlesOf(arrows: Arrows): string[][] {
  const index = new Map<string, number>()
  const low = new Map<string, number>()
  const stack: string[] = []
  const circles: string[][] = []
  const visit = (node: string): number => {
    index.set(node, index.size)
    let least = index.size - 1
    stack.push(node)
    for (const next of arrows.get(node) ?? []) {
      if (!index.has(next)) least = Math.min(least, visit(next))
      else if (stack.includes(next)) least = Math.min(least, index.get(next) ?? least)
    }
    low.set(node, least)
    if (least === index.get(node)) {
      const group = stack.splice(stack.indexOf(node))
      if (group.length > 1) circles.push(group.sort())
    }
    return least
  }
  for (const node of arrows.keys()) if (!index.has(node)) visit(node)
  return circles
}
