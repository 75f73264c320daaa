import { afterEach, describe, expect, it, vi } from 'vitest'
import { z } from 'zod'
import { PROBLEMS } from '../../words/problems'
import { ask, Refused, Unreachable } from './api'

const Pan = z.strictObject({ id: z.string() })
const answering = (body: string, status = 200) => {
  const fetched = vi.fn((_: string, __: RequestInit) => Promise.resolve(new Response(body, { status })))
  vi.stubGlobal('fetch', fetched)
  return fetched
}
afterEach(() => vi.unstubAllGlobals())

describe('asking the hearth', () => {
  it('gives the parsed answer of a path below /api', async () => {
    const fetched = answering('{"id":"p"}')
    expect(await ask('GET', '/pans/p', Pan)).toEqual({ id: 'p' })
    expect(fetched.mock.calls[0]![0]).toBe('/api/pans/p')
    expect(fetched.mock.calls[0]![1]).toEqual({ method: 'GET', headers: {} })
  })

  it('sends a small change so that it outlives the page, and a large one plainly', async () => {
    const fetched = answering('{"id":"p"}')
    await ask('PUT', '/pans/p', Pan, { id: 'p' })
    await ask('PUT', '/pans/p', Pan, { id: 'x'.repeat(70_000) })
    expect(fetched.mock.calls.map(([, init]) => init.keepalive)).toEqual([true, false])
    expect(fetched.mock.calls[0]![1]).toMatchObject({
      body: '{"id":"p"}',
      headers: { 'content-type': 'application/json' },
    })
  })

  it('tells a refusal by its problem', async () => {
    const { status, title, detail } = PROBLEMS['already-different']
    answering(
      JSON.stringify({
        type: 'about:blank#already-different',
        title,
        status,
        code: 'already-different',
        detail,
        fields: [{ path: 'id', message: 'other' }],
      }),
      status,
    )
    const refused = await ask('PUT', '/cooks/x', Pan, {}).catch((error: unknown) => error)
    expect(refused).toBeInstanceOf(Refused)
    expect(refused).toMatchObject({ message: detail, problem: { code: 'already-different', fields: [{ path: 'id' }] } })
  })

  it.each([
    ['a proxy answers with its own page', '<html>Bad gateway</html>', 502],
    ['the answer is cut off', '{"id":', 200],
    ['the answer is of another kind', '{"id":7}', 200],
    ['the answer is empty', '', 200],
  ])('has not reached it where %s', async (_, body, status) => {
    answering(body, status)
    await expect(ask('GET', '/pans/p', Pan)).rejects.toBeInstanceOf(Unreachable)
  })

  it('has not reached it where nobody answers', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('failed to fetch')))
    await expect(ask('GET', '/pans/p', Pan)).rejects.toThrow('The hearth cannot be reached.')
  })
})
