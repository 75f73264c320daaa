import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { parse } from 'vue/compiler-sfc'

/** A native control, and where it stands. */
export interface NativeControl { readonly tag: string, readonly file: string, readonly line: number }

/** What the interface is made of. */
export interface PartCounts {
  readonly native: readonly NativeControl[]
  /** How often each part of the kept package is used. */
  readonly parts: Readonly<Record<string, number>>
  /** What a kept package does, done by hand: places as `file:line`. */
  readonly byHand: {
    readonly drags: readonly string[]
    readonly axes: readonly string[]
    readonly areas: readonly string[]
    readonly dates: readonly string[]
  }
}

const NATIVE = new Set(['button', 'input', 'textarea', 'select', 'table', 'details', 'dialog', 'progress', 'meter'])
/**
 * Marks of work by hand: a drag follows a pointer, an axis repeats its ticks, a line or area lists its points, a date
 * is one of the language's own.
 */
const BY_HAND = {
  drags: /setPointerCapture|@(?:pointer|touch|mouse)move|['"](?:pointer|touch|mouse)move['"]/,
  axes: /v-for="\(?tick\b/,
  areas: /<poly(?:line|gon)\b/,
  dates: /new Date\(|Intl\.DateTimeFormat|toLocale(?:Date|Time)String|\.getUTC|\.get(?:Month|FullYear|Date|Hours)\(/,
} as const
/** Rooms in which dates are read and written. Migrations are of their own day. */
const DATED = ['app', 'core', 'words', 'server', 'cli', 'contracts', 'workers']

interface Node {
  readonly type: number
  readonly tag?: string
  readonly children?: readonly Node[]
  readonly loc: { readonly start: { readonly line: number } }
}

function filesOf(root: string, kinds: readonly string[]): string[] {
  return readdirSync(root, { recursive: true, withFileTypes: true })
    .filter(
      one =>
        one.isFile()
        && kinds.some(kind => one.name.endsWith(kind))
        && !one.name.endsWith('.test.ts')
        && !one.parentPath.includes('migrations'),
    )
    .map(one => join(one.parentPath, one.name))
    .sort()
}

/**
 * Counts what the interface is made of: native controls and parts of the kept package in its templates, and what is
 * done by hand that a kept package does.
 *
 * @param root of the project
 * @returns counts, with the places of what should be few
 */
export function countParts(root: string): PartCounts {
  const native: NativeControl[] = []
  const parts: Record<string, number> = {}
  for (const path of filesOf(join(root, 'app'), ['.vue'])) {
    const look = (node: Node): void => {
      if (node.tag && NATIVE.has(node.tag))
        native.push({ tag: node.tag, file: relative(root, path), line: node.loc.start.line })
      if (node.tag && /^El[A-Z]/.test(node.tag)) parts[node.tag] = (parts[node.tag] ?? 0) + 1
      for (const child of node.children ?? []) look(child)
    }
    const { descriptor } = parse(readFileSync(path, 'utf8'))
    if (descriptor.template?.ast) look(descriptor.template.ast as unknown as Node)
  }
  const places = (rooms: readonly string[], kinds: readonly string[], mark: RegExp): string[] =>
    rooms
      .flatMap(room => filesOf(join(root, room), kinds))
      .flatMap(path =>
        readFileSync(path, 'utf8')
          .split('\n')
          .flatMap((line, i) => (mark.test(line) ? [`${relative(root, path)}:${i + 1}`] : [])),
      )
  return {
    native, parts,
    byHand: {
      drags: places(['app'], ['.vue', '.ts'], BY_HAND.drags), axes: places(['app'], ['.vue'], BY_HAND.axes),
      areas: places(['app'], ['.vue'], BY_HAND.areas), dates: places(DATED, ['.vue', '.ts'], BY_HAND.dates),
    },
  }
}
