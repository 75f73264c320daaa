<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { BatchPageSchema, type BatchListLine } from '../../../contracts/batch'
import JudgedFigures from '../../components/boil/JudgedFigures.vue'
import HouseKnows from '../../components/boil/HouseKnows.vue'
import ModelNumbers from '../../components/boil/ModelNumbers.vue'
import SourceList from '../../components/boil/SourceList.vue'
import SpanRow from '../../components/boil/SpanRow.vue'
import HousePage from '../../components/HousePage.vue'
import { ask } from '../../clients/api'
import { useArriving } from '../../composables/arriving'
import { hearthNow } from '../../clients/hearthClock'
import { learnedMarks, learnedNumbers, type LearnedNumber } from '../../composables/learnedNumbers'
import { newId } from '../../clients/sync/outbox'
import { useHouse } from '../../stores/house'
import { INGREDIENTS } from '../../../book/ingredients'
import judged from '../../../book/judged.json'
import type { EvidenceSource, Lesson } from '../../../contracts/lesson'
import { FAMILY_IDS } from '../../../core/formulation/family/family'
import { familyName } from '../../../words/dish'
import { NUMBER_WORDS } from '../../../words/learned'

const house = useHouse()
const loaded = house.load()
const says = ref('')
/** So many numbers are shown at first, those with most readings. */
const FIRST = 6
const all = ref(false)
const nowMs = hearthNow()
const fires = computed(() => (house.kitchen?.fires ?? []).map(fire => ({ fire, marks: learnedMarks(fire, house.evidence, nowMs) })))
const numbers = computed(() => learnedNumbers(house.evidence, nowMs))

/** A number by its household name, such as `browning.semolina`. */
function title(name: string): string {
  const [kind = '', ...rest] = name.split('.')
  const of = rest.join('.')
  const family = FAMILY_IDS.find(id => id === of)
  const dish = house.dishes.find(one => one.id === of)
  const whose = family ? familyName({ family }) : dish?.name ?? ''
  const what = NUMBER_WORDS[kind]?.says ?? kind
  return whose ? `${whose}: ${what}` : what.charAt(0).toUpperCase() + what.slice(1)
}
const familyOf = (name: string): (typeof FAMILY_IDS)[number] | undefined => (name.startsWith('browning.') ? FAMILY_IDS.find(id => name === `browning.${id}`) : undefined)
const span = (one: { readonly before: { readonly early: number, readonly late: number }, readonly now: { readonly early: number, readonly late: number } }) =>
  ({ from: Math.max(1e-9, 0.9 * Math.min(one.before.early, one.now.early)), to: 1.1 * Math.max(one.before.late, one.now.late) })
const count = (readings: readonly { readonly batch: string }[]): string => {
  const many = new Set(readings.map(one => one.batch)).size
  return many === 0 ? 'first guess' : `${many} ${many === 1 ? 'reading' : 'readings'}`
}

/** How it strays from day to day, where enough was read to tell. */
function strays({ day, readings }: Pick<LearnedNumber, 'day' | 'readings'>): string {
  if (new Set(readings.map(one => one.batch)).size < FEW) return ''
  const percent = (value: number): string => `${Math.round(100 * value)} %`
  return `from day to day ± ${percent(day.here)} (any kitchen ± ${percent(day.usual)})`
}
/** Fewer batches than this say nothing of a scatter. */
const FEW = 3

const recent = shallowRef<readonly BatchListLine[]>([])
const recentRead = ask('GET', '/batches?limit=200', BatchPageSchema).then((page) => {
  recent.value = page.batches
}).catch(() => undefined)
const coming = useArriving([loaded, recentRead])
const forgotten = computed(() => new Set(house.sources.filter(one => one.forgotten).map(one => one.id)))
const liked = computed(() => recent.value.filter(one => one.after?.liked.sweetness && !forgotten.value.has(one.id)))
async function dropWeighed(ingredient: string): Promise<void> {
  await house.remove('corrections', ingredient).then(() => {
    says.value = 'Forgotten: the table holds again.'
  }, () => {
    says.value = 'The hearth is away; nothing was changed.'
  })
}
async function teach(lesson: Lesson, done: string): Promise<void> {
  await house.teach(lesson).then(() => {
    says.value = done
  }, (error: unknown) => {
    says.value = `Not kept: ${error instanceof Error ? error.message : ''}`
  })
}
const forgettingId = (source: string): string => `forget-${source}`.slice(0, 60)
async function forget(source: EvidenceSource): Promise<void> {
  if (!source.forgotten) return teach({ kind: 'forgotten', id: forgettingId(source.id), at: hearthNow(), source: source.id }, `Nothing rests on ${source.name} any more.`)
  await house.unteach(forgettingId(source.id)).then(() => {
    says.value = `Learning from ${source.name} again.`
  }, () => {
    says.value = 'The hearth is away; nothing was changed.'
  })
}
const cleaned = (fire: string, name: string): Promise<void> => teach({ kind: 'changed', id: newId(), at: hearthNow(), fire }, `Older readings of ${name} count less from now on.`)
const newBag = (family: (typeof FAMILY_IDS)[number]): Promise<void> => teach({ kind: 'new-bag', id: newId(), at: hearthNow(), family }, 'A new bag: older readings of its browning and smell count less from now on.')
</script>

<template>
  <HousePage
    :coming="coming"
    :trouble="house.trouble || ''"
  >
    <div class="learned">
      <section class="what">
        <h1>What the forecast rests on</h1>
        <p class="soft">
          Grey is what is believed of any kitchen, green of this one. Eight in ten should lie inside; the knob is the middle. <strong
            class="says"
            role="status"
          >{{ says }}</strong>
        </p>
        <section
          v-for="one in fires"
          :key="one.fire.id"
          class="slab"
        >
          <header>
            <h2>{{ one.fire.name }}</h2>
            <span class="soft">{{ count(one.marks[0]?.readings ?? []) }}</span>
            <NuxtLink
              class="stone-button"
              :to="`/kitchen/boil?fire=${one.fire.id}`"
            >
              Boil check
            </NuxtLink>
            <ElButton
              v-if="(one.marks[0]?.readings.length ?? 0) > 0"
              text
              @click="cleaned(one.fire.id, one.fire.name)"
            >
              Cleaned or replaced
            </ElButton>
          </header>
          <p
            v-if="one.marks[0] && strays(one.marks[0])"
            class="soft small"
          >
            The same mark {{ strays(one.marks[0]) }}
          </p>
          <div
            v-for="mark in one.marks"
            :key="mark.label"
            class="two"
          >
            <SpanRow
              :name="mark.label"
              :window="mark.before"
              v-bind="span({ before: one.marks[0]!.before, now: one.marks.at(-1)!.before })"
              unit="W"
              faint
            />
            <SpanRow
              name=""
              :window="mark.now"
              v-bind="span({ before: one.marks[0]!.before, now: one.marks.at(-1)!.before })"
              unit="W"
            />
          </div>
        </section>
        <section
          v-if="numbers.length > 0"
          class="slab"
        >
          <h2>Flours, dishes and the room</h2>
          <div
            v-for="one in numbers.slice(0, all ? numbers.length : FIRST)"
            :key="one.name"
            class="number"
          >
            <p>
              <strong>{{ title(one.name) }}</strong> <span class="soft small">{{ [count(one.readings), one.unit, strays(one)].filter(Boolean).join(' · ') }}</span>
              <ElButton
                v-if="familyOf(one.name)"
                text
                @click="newBag(familyOf(one.name)!)"
              >
                New bag
              </ElButton>
            </p>
            <SpanRow
              name="any"
              :window="one.before"
              v-bind="span(one)"
              unit=""
              faint
            />
            <SpanRow
              name="here"
              :window="one.now"
              v-bind="span(one)"
              unit=""
            />
          </div>
        </section>
        <ElButton
          v-if="numbers.length > FIRST"
          class="more"
          text
          :aria-expanded="all"
          @click="all = !all"
        >
          {{ all ? 'Fewer' : `${numbers.length - FIRST} more, with fewer readings` }}
        </ElButton>
        <HouseKnows
          :batches="liked"
          :corrections="house.kitchen?.corrections ?? []"
          :table="INGREDIENTS"
          @forget="batch => forget({ id: batch.id, kind: 'batch', name: batch.dish, at: batch.startedAt, forgotten: false })"
          @drop="dropWeighed"
        />
        <section class="slab">
          <h2>A batch from memory</h2>
          <p class="soft">
            Cooked before this hearth knew you? The minutes you remember say something of your fire; less than a boil check, and they are taken for less. <NuxtLink to="/ledger/remember">Enter a past batch</NuxtLink>
          </p>
        </section>
        <section class="slab">
          <h2>How good it is, and where it is weak</h2>
          <JudgedFigures :report="judged" />
        </section>
        <ElCollapse>
          <ElCollapseItem
            title="Every number of the model"
            name="numbers"
          >
            <ModelNumbers />
          </ElCollapseItem>
        </ElCollapse>
      </section>
      <aside
        class="from"
        aria-label="Where it comes from"
      >
        <h2>Where it comes from</h2>
        <p
          v-if="house.sources.length === 0"
          class="soft"
        >
          Nothing yet: a boil check, or the first batch, begins it.
        </p>
        <SourceList
          :sources="house.sources"
          @forget="forget"
        />
      </aside>
    </div>
  </HousePage>
</template>

<style scoped>
.learned { display: grid; grid-template-columns: minmax(0, 1fr) 380px; gap: 40px; padding-top: 16px; }
.what { display: grid; gap: 16px; align-content: start; min-width: 0; }
.slab { display: grid; gap: 8px; }
.slab header { display: flex; gap: 14px; align-items: center; flex-wrap: wrap; }
.two { display: grid; gap: 2px; }
.more { justify-self: start; }
.number { display: grid; gap: 2px; }
.number :is(.el-button, .stone-button) { min-height: 44px; }
.says { color: var(--accent); }
summary h2 { display: inline; }
.from { border-left: 3px solid var(--line); padding-left: 24px; display: grid; gap: 10px; align-content: start; }
@media (max-width: 1000px) {
  .learned { grid-template-columns: minmax(0, 1fr); }
  .from { border-left: 0; border-top: 3px solid var(--line); padding: 14px 0 0; }
}
</style>
