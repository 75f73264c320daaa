import { inflateSync } from 'node:zlib'

/** A straight line of a printed page, mm from the page's upper left. */
export interface PdfLine {
  readonly page: number
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
}

const MM_PER_POINT = 25.4 / 72
type Matrix = readonly [number, number, number, number, number, number]
const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[1] * n[2], m[0] * n[1] + m[1] * n[3], m[2] * n[0] + m[3] * n[2], m[2] * n[1] + m[3] * n[3],
  m[4] * n[0] + m[5] * n[2] + n[4], m[4] * n[1] + m[5] * n[3] + n[5],
]

/**
 * Reads the straight lines of a PDF (ISO 32000-1): path segments of every page's content under its transformations, so
 * that what a printer puts on paper can be measured. Rectangles and curves are passed over.
 */
export function pdfLines(pdf: Buffer): PdfLine[] {
  const text = pdf.toString('latin1')
  const objects = new Map<string, string>()
  for (const found of text.matchAll(/(\d+) 0 obj\s*([\s\S]*?)endobj/g)) objects.set(found[1]!, found[2]!)
  const pages = [...objects.values()].filter(body => /\/Type\s*\/Page\b/.test(body))
  return pages.flatMap((body, page) => {
    const height = Number(/\/MediaBox\s*\[\s*\S+\s+\S+\s+\S+\s+(\S+?)\s*\]/.exec(body)?.[1] ?? Number.NaN)
    const content = objects.get(/\/Contents\s*(\d+)/.exec(body)?.[1] ?? '') ?? ''
    const forms = Object.fromEntries(
      [...body.matchAll(/\/(X\d+)\s+(\d+) 0 R/g)].map(one => [one[1]!, streamOf(objects.get(one[2]!) ?? '')]),
    )
    return linesOf(streamOf(content), forms).map(([x1, y1, x2, y2]) => ({
      page,
      x1: x1 * MM_PER_POINT,
      y1: (height - y1) * MM_PER_POINT,
      x2: x2 * MM_PER_POINT,
      y2: (height - y2) * MM_PER_POINT,
    }))
  })
}

function streamOf(body: string): string {
  const start = /stream\r?\n/.exec(body)
  if (!start) return ''
  const bytes = Buffer.from(body.slice(start.index + start[0].length, body.lastIndexOf('endstream')), 'latin1')
  return /FlateDecode/.test(body) ? inflateSync(bytes).toString('latin1') : bytes.toString('latin1')
}

function linesOf(
  content: string,
  forms: Readonly<Record<string, string>>,
  from: Matrix = [1, 0, 0, 1, 0, 0],
): [number, number, number, number][] {
  const lines: [number, number, number, number][] = []
  let matrix = from
  const kept: Matrix[] = []
  let stack: number[] = []
  let at = { x: 0, y: 0 }
  let start = at
  const point = (x: number, y: number): { x: number, y: number } => ({
    x: matrix[0] * x + matrix[2] * y + matrix[4],
    y: matrix[1] * x + matrix[3] * y + matrix[5],
  })
  const line = (to: { x: number, y: number }): void => {
    lines.push([at.x, at.y, to.x, to.y])
    at = to
  }
  for (const token of content.split(/\s+/)) {
    if (/^[-+]?[\d.]+$/.test(token)) {
      stack.push(Number(token))
      continue
    }
    const [a = 0, b = 0] = stack.slice(-2)
    if (token === 'q') kept.push(matrix)
    else if (token === 'Q') matrix = kept.pop() ?? from
    else if (token === 'cm') matrix = times(stack.slice(-6) as unknown as Matrix, matrix)
    else if (token === 'm') start = at = point(a, b)
    else if (token === 'l') line(point(a, b))
    else if (token === 'h') line(start)
    else if (token.startsWith('/X') && forms[token.slice(1)] !== undefined)
      lines.push(...linesOf(forms[token.slice(1)]!, {}, matrix))
    stack = []
  }
  return lines
}
