import { describe, expect, it } from 'vitest'
import { workerClient, type AnswerEnd } from './workerClient'

interface Question { readonly asks: string }
interface Answer { readonly ticket: number, readonly says: string, readonly last: boolean }

/** A worker that answers as it is told to. */
class StandIn {
  static made: StandIn[] = []
  readonly heard: (Question & { readonly ticket: number })[] = []
  ended = false
  onmessage: ((event: { data: unknown }) => void) | null = null
  onerror: (() => void) | null = null
  onmessageerror: (() => void) | null = null
  constructor(readonly refuses = false) { StandIn.made.push(this) }
  postMessage(message: Question & { readonly ticket: number }): void {
    if (this.refuses) throw new Error('cannot be sent')
    this.heard.push(message)
  }

  terminate(): void { this.ended = true }
  say(ticket: number, says: string, last = true): void { this.onmessage?.({ data: { ticket, says, last } }) }
}
const last = (): StandIn => StandIn.made.at(-1)!

function client(refuses = false) {
  StandIn.made = []
  const asked = workerClient<Question, Answer>(
    () => new StandIn(refuses) as unknown as Worker,
    message => (typeof message === 'object' && message !== null && 'says' in message ? (message as Answer) : null),
  )
  const heard: string[] = []
  const ends: AnswerEnd[] = []
  const ask = (stream: string, asks: string): void => asked.ask(stream, { asks }, (answer) => {
    heard.push(answer.says)
    return answer.last
  }, how => ends.push(how))
  return { asked, ask, heard, ends }
}

describe('a question to a worker', () => {
  it('starts it, hears what is on the way, and is over with the last answer', () => {
    const { ask, heard, ends } = client()
    ask('a', 'how long')
    expect(last().heard).toEqual([{ asks: 'how long', ticket: 1 }])
    last().say(1, 'about', false)
    last().say(1, 'exactly')
    last().say(1, 'once more')
    expect([heard, ends]).toEqual([['about', 'exactly'], ['answered']])
  })

  it('is overtaken by a newer one of its stream, and by no other', () => {
    const { asked, ask, heard, ends } = client()
    ask('a', 'old')
    ask('b', 'other')
    ask('a', 'new')
    expect(ends).toEqual(['overtaken'])
    last().say(1, 'too late')
    last().say(3, 'new')
    last().say(2, 'other')
    expect(heard).toEqual(['new', 'other'])
    expect([asked.giveUp('a'), ends]).toEqual([false, ['overtaken', 'answered', 'answered']])
    expect(StandIn.made).toHaveLength(1)
  })

  it('ends with its worker, which is seen, and the next one starts another', () => {
    const { asked, ask, heard, ends } = client()
    ask('a', 'one')
    ask('b', 'two')
    last().onerror!()
    expect([ends, asked.failed.value, last().ended]).toEqual([['stopped', 'stopped'], true, true])
    ask('a', 'again')
    expect(StandIn.made).toHaveLength(2)
    last().say(3, 'here')
    expect([heard, asked.failed.value]).toEqual([['here'], false])
  })

  it('ends where what comes is no answer, or it cannot be sent', () => {
    const broken = client()
    broken.ask('a', 'one')
    last().onmessage!({ data: 'gibberish' })
    expect([broken.ends, broken.asked.failed.value]).toEqual([['stopped'], true])
    const mute = client(true)
    mute.ask('a', 'one')
    expect([mute.ends, mute.asked.failed.value]).toEqual([['stopped'], true])
  })

  it('sends what wants no answer only to a worker that was asked', () => {
    const { asked, ask } = client()
    asked.tell({ asks: 'nobody' })
    expect(StandIn.made).toHaveLength(0)
    ask('a', 'one')
    asked.tell({ asks: 'stop' })
    expect(last().heard.map(one => one.asks)).toEqual(['one', 'stop'])
  })
})
