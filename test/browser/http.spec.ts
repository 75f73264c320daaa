import { expect, test } from './hearth'

test.describe('the HTTP interface', () => {
  test('answers problem details without its insides, and 404 for what is not there', async ({ request }) => {
    const unknown = await request.get('/api/no-such-thing')
    expect(unknown.status()).toBe(404)
    expect(unknown.headers()['content-type']).toContain('application/problem+json')
    expect(await unknown.json()).toMatchObject({ code: 'not-found', status: 404 })
    const bad = await request.put('/api/kitchen/measures/x', { data: { id: 'x', name: '', volumeMl: -3 } })
    expect(bad.status()).toBe(400)
    const problem = await bad.json() as { code: string, fields: { path: string }[] }
    expect(problem.code).toBe('body-not-understood')
    expect(problem.fields.map(field => field.path)).toEqual(expect.arrayContaining(['name', 'volumeMl']))
    expect(JSON.stringify(problem)).not.toMatch(/\.ts|node_modules|at /)
    expect(
      (
        await request.post('/api/streams/a/observations', {
          data: 'not json',
          headers: { 'content-type': 'application/json' },
        })
      ).status(),
    ).toBe(400)
    expect((await request.get('/api/cooks/%00')).status()).toBe(404)
    const large = await request.post('/api/streams/a/observations', {
      data: { sentAt: 1, observations: [], fill: 'x'.repeat(2_100_000) },
    })
    expect(large.status()).toBe(413)
    expect((await large.json() as { code: string }).code).toBe('body-too-large')
  })

  test('never answers 5xx to generated bad bodies', async ({ request }) => {
    const bodies: unknown[] = [
      null,
      0,
      [],
      {},
      { sentAt: 'x' },
      { sentAt: 1, observations: [{}] },
      { sentAt: 1, observations: [{ id: '../x', device: 'd', number: 1, deviceTime: 1, kind: 'note', payload: {} }] },
      {
        sentAt: 1,
        observations: [
          { id: 'a', device: 'd', number: 1, deviceTime: 1, kind: 'note', payload: { text: 'x'.repeat(9000) } },
        ],
      },
      { sentAt: -1, observations: 7 },
    ]
    for (const path of ['/api/streams/s/observations', '/api/batches/x/restore']) {
      for (const data of bodies) {
        const status = (await request.post(path, { data: data as never })).status()
        expect(status).toBeGreaterThanOrEqual(400)
        expect(status).toBeLessThan(500)
      }
    }
    for (const data of bodies) expect((await request.put('/api/cooks/x', { data: data as never })).status()).toBe(400)
  })

  test('pages the ledger by cursor, newest first, each once', async ({ request }) => {
    const seen: string[] = []
    let next: string | null = ''
    while (next !== null) {
      const page = (await (await request.get(`/api/batches?limit=4${next ? `&cursor=${next}` : ''}`)).json()) as {
        batches: { id: string, startedAt: number }[]
        next: string | null
      }
      seen.push(...page.batches.map(batch => batch.id))
      next = page.next
    }
    expect(seen).toHaveLength(19)
    expect(new Set(seen).size).toBe(19)
    expect((await request.get('/api/batches?limit=9999')).status()).toBe(400)
  })

  test('compresses a long answer where it may, and says the same either way', async ({ request }) => {
    const plain = await request.get('/api/dishes', { headers: { 'accept-encoding': 'identity' } })
    const packed = await request.get('/api/dishes', { headers: { 'accept-encoding': 'gzip' } })
    expect(plain.headers()['content-encoding']).toBeUndefined()
    expect(packed.headers()).toMatchObject({ 'content-encoding': 'gzip', 'content-type': 'application/json' })
    expect(packed.headers()['vary']).toContain('accept-encoding')
    expect(await packed.json()).toEqual(await plain.json())
    expect(Number(packed.headers()['content-length'])).toBeLessThan((await plain.body()).length / 4)
    expect(
      (await request.get('/api/clock', { headers: { 'accept-encoding': 'gzip' } })).headers()['content-encoding'],
    ).toBeUndefined()
  })

  test('sends the shell compressed, with the files of its page, and the same either way', async ({ request }) => {
    const packed = await request.get('/kitchen', { headers: { 'accept-encoding': 'gzip' } })
    expect(packed.headers()['content-encoding']).toBe('gzip')
    const plain = await request.get('/kitchen', { headers: { 'accept-encoding': 'identity' } })
    expect(plain.headers()['content-encoding']).toBeUndefined()
    for (const answer of [packed, plain]) expect(await answer.text()).toMatch(/rel="modulepreload"[\s\S]*<\/html>/)
  })

  test('keeps a strict content security policy on pages and scripts', async ({ request }) => {
    const policy = (await request.get('/')).headers()['content-security-policy'] ?? ''
    expect(policy).toContain('default-src \'none\'')
    expect(policy).toContain('connect-src \'self\'')
    expect(policy).not.toContain('unsafe-eval')
    expect(policy).not.toContain('unsafe-inline')
    expect(policy).not.toMatch(/https?:/)
  })
})
