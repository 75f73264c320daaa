import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi, afterEach } from 'vitest'
import ProveAgain from './ProveAgain.vue'
import { Anything, ask, Refused } from '../clients/api'
import { useProving } from '../composables/proving'

const problem = (code: string, status: number) =>
  new Response(JSON.stringify({ type: 'x', title: code, status, code, detail: 'Nothing was changed.', fields: [] }), {
    status,
  })
let proven = false
const asked: string[] = []
beforeEach(() => {
  proven = false
  asked.length = 0
  vi.stubGlobal('fetch', (path: string, options: RequestInit) => {
    asked.push(`${options.method} ${path}`)
    if (path === '/api/house/prove') {
      proven = String(options.body).includes('right')
      return Promise.resolve(proven ? new Response('{}') : problem('wrong-passphrase', 403))
    }
    return Promise.resolve(proven ? new Response('{"removed":true}') : problem('prove-again', 403))
  })
})
afterEach(() => vi.unstubAllGlobals())

describe('the passphrase once more', () => {
  it('is asked for where something is taken away, and the thing is then done', async () => {
    const proving = useProving()
    const removing = ask('DELETE', '/batches/a', Anything)
    await flushPromises()
    expect(proving.asked.value).toBe(true)
    expect(await proving.tell('no')).toContain('wrong-passphrase')
    expect(proving.asked.value).toBe(true)
    expect(await proving.tell('right')).toBe('')
    expect(await removing).toEqual({ removed: true })
    expect(proving.asked.value).toBe(false)
    expect(asked).toEqual([
      'DELETE /api/batches/a',
      'POST /api/house/prove',
      'POST /api/house/prove',
      'DELETE /api/batches/a',
    ])
  })

  it('can be left: nothing is taken away then', async () => {
    const proving = useProving()
    const removing = ask('DELETE', '/batches/a', Anything)
    await flushPromises()
    proving.leave()
    await expect(removing).rejects.toBeInstanceOf(Refused)
    expect(asked).toEqual(['DELETE /api/batches/a'])
  })

  it('is typed in a dialog that says what stands against it', async () => {
    const tell = vi.fn(() => Promise.resolve('That is not the passphrase.'))
    const dialog = mount(ProveAgain, {
      props: { asked: true, tell },
      global: { stubs: { teleport: true } },
      attachTo: document.body,
    })
    await flushPromises()
    await dialog.get('input').setValue('guess')
    await dialog.get('form').trigger('submit')
    await flushPromises()
    expect(tell).toHaveBeenCalledWith('guess')
    expect(dialog.get('[role=alert]').text()).toContain('not the passphrase')
    await dialog.findAll('button').at(-1)!.trigger('click')
    expect(dialog.emitted('leave')).toBeTruthy()
    dialog.unmount()
  })
})
