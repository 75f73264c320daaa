import {
  LessonSchema,
  LessonAnswerSchema,
  type EvidenceSource,
  type Learned,
  type Lesson,
  type LessonAnswer,
} from '../../contracts/lesson'
import { settleCook } from '../../core/cook/batch/settleCook'
import { assembled, type Change } from '../../core/process/belief/assembled'
import type { Evidence } from '../../core/materials/belief/reading'
import { readBoilCheck } from '../../core/process/boil/readBoilCheck'
import { CoreError } from '../../core/error'
import type { Batches } from './batches'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { readRow } from './readRow'
import { Refusal } from './refusal'
import { rowsOf } from '../models/rows'

/** What the household has taught its hearth beside its batches, and everything it has learned. */
export interface Lessons {
  /** Newest first. */
  all(): Promise<LessonAnswer[]>
  put(lesson: Lesson): Promise<LessonAnswer>
  remove(id: string): Promise<void>
  /** Readings of batches and lessons that count, and where they come from. */
  learned(): Promise<Learned>
}

/** So many of the newest lessons count. */
const MOST = 200

/**
 * The lessons of one database. A lesson is worked out once, when it is put; removing is soft.
 *
 * @param database an open database
 * @param clock gives the time of removal
 * @param batches the ledger
 * @returns `put` refuses `body-not-understood` where nothing can be learned from it
 */
export function lessonsOf(database: Database, clock: HearthClock, batches: Batches): Lessons {
  const { Lesson: Table } = database.models
  const all = async (): Promise<LessonAnswer[]> => {
    const rows = await rowsOf(Table, { where: { removedAt: null },
      order: [
        ['at', 'DESC'],
        ['id', 'DESC'],
      ],
      limit: MOST })
    return rows.flatMap((row) => {
      const told = readRow(row.lesson, lesson =>
        LessonAnswerSchema.parse(Object.assign({ lesson }, readRow(row.told, told => told))),
      )
      return told ? [told] : []
    })
  }
  return {
    all,
    async put(lesson) {
      const told = work(lesson)
      await Table.upsert({
        id: lesson.id,
        kind: lesson.kind,
        at: lesson.at,
        lesson: JSON.stringify(LessonSchema.parse(lesson)),
        told: JSON.stringify(told),
        removedAt: null,
      })
      return { lesson, ...told }
    },
    async remove(id) {
      const [changed] = await Table.update({ removedAt: clock.now() }, { where: { id, removedAt: null } })
      if (changed === 0) throw new Refusal('not-found', `lessons/${id}`)
    },
    async learned() {
      const [lessons, cooked] = await Promise.all([all(), batches.evidence()])
      const forgotten = new Set(lessons.flatMap(({ lesson }) => (lesson.kind === 'forgotten' ? [lesson.source] : [])))
      const evidence = assembled(
        [...cooked.evidence, ...lessons.flatMap(one => one.evidence)],
        forgotten,
        changesOf(lessons),
      )
      const sources = [...cooked.sources, ...lessons.flatMap(({ lesson }) => sourceOf(lesson))]
        .map((source): EvidenceSource => ({ ...source, forgotten: forgotten.has(source.id) }))
        .sort((p, q) => q.at - p.at)
      return { evidence, sources }
    },
  }
}

function work(lesson: Lesson): Omit<LessonAnswer, 'lesson'> {
  try {
    if (lesson.kind === 'boil-check') {
      const reading = readBoilCheck({ ...lesson.check, id: lesson.id, when: lesson.at })
      return { reading, evidence: [...reading.evidence] }
    }
    if (lesson.kind === 'remembered') {
      const { plan, observations } = lesson.cook
      const evidence: Evidence[] = settleCook({ ...plan, id: lesson.id }, observations).evidence.map(one => ({
        ...one,
        batch: lesson.id,
        when: lesson.at,
      }))
      return { reading: null, evidence }
    }
  }
  catch (error) {
    if (error instanceof CoreError) throw new Refusal('body-not-understood', error.path)
    throw error
  }
  return { reading: null, evidence: [] }
}

function changesOf(lessons: readonly LessonAnswer[]): Change[] {
  return lessons.flatMap(({ lesson }): Change[] => {
    if (lesson.kind === 'changed') return [{ at: lesson.at, names: [`fire.${lesson.fire}`] }]
    return lesson.kind === 'new-bag'
      ? [{ at: lesson.at, names: [`browning.${lesson.family}`, `aroma.${lesson.family}`] }]
      : []
  })
}

function sourceOf(lesson: Lesson): Omit<EvidenceSource, 'forgotten'>[] {
  if (lesson.kind === 'boil-check')
    return [
      { id: lesson.id, kind: lesson.kind, name: `${lesson.pan} on ${lesson.fire}, ${lesson.mark}`, at: lesson.at },
    ]
  return lesson.kind === 'remembered' ? [{ id: lesson.id, kind: lesson.kind, name: lesson.dish, at: lesson.at }] : []
}
