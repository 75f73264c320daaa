<script setup lang="ts">
import { formOf } from '../../../core/formulation/dish/forms'
import { computed, ref, watch } from 'vue'
import HousePage from '../../components/HousePage.vue'
import LikedForm from '../../components/ledger/LikedForm.vue'
import KeepPanel from '../../components/tray/KeepPanel.vue'
import ServePanel from '../../components/tray/ServePanel.vue'
import SettingLine from '../../components/tray/SettingLine.vue'
import ShapeBalls from '../../components/tray/ShapeBalls.vue'
import ShapeBowls from '../../components/tray/ShapeBowls.vue'
import ShapeTray from '../../components/tray/ShapeTray.vue'
import { useAfterFire } from '../../composables/afterFire'
import { useCooks } from '../../stores/cooks'
import { dayText, gramsText } from '../../composables/format'
import { useHearthTime } from '../../composables/hearthTime'
import { useHouse } from '../../stores/house'
import { INGREDIENTS } from '../../../book/ingredients'
import { rollingOf } from '../../../core/cook/after/rollingOf'
import { planRow } from '../../../core/record/plan/planRow'
import { mixOf } from '../../../core/materials/composition/mixOf'
import { freeOf } from '../../../core/formulation/dish/freeShare'
import { mainVessel } from '../../../core/formulation/dish/mainVessel'
import { pageTitle } from '../../../words/titles'
import { trayFill } from '../../../core/formulation/tray/trayFill'
import SegmentedChoice from '../../components/SegmentedChoice.vue'

const id = String(useRoute().params.id)
const house = useHouse()
void house.load()
const after = useAfterFire(id, useCooks())
const { batch, plan, cook, now: standing, state } = after
const now = useHearthTime(5000)
useHead({ title: () => pageTitle('/tray/', plan.value?.dish.name) })

type Way = 'tray' | 'balls' | 'bowls'
const WAYS: readonly { readonly value: Way, readonly label: string }[] = [{ value: 'tray', label: 'Tray' }, { value: 'balls', label: 'Balls' }, { value: 'bowls', label: 'Bowls' }]
/** How it is usually divided, by what shapes it. */
const USUAL_WAY = { spoon: 'bowls', knife: 'tray', hands: 'balls' } as const
const way = ref<Way | null>(null)
watch(cook, (one) => {
  if (one && way.value === null) way.value = one.after.shaped?.what.way ?? (plan.value ? USUAL_WAY[formOf(plan.value.dish).shapedBy] : 'bowls')
}, { immediate: true })
const colour = computed(() => batch.value?.line.summary.stones.at(-1)?.colour ?? '#d9b37a')
const main = computed(() => (plan.value ? mainVessel(plan.value.dish) : 'pan'))
const doneMs = computed(() => (cook.value?.startedMs ?? 0) + (cook.value?.finishedS ?? 0) * 1000)
const spreadAt = computed(() => {
  const one = cook.value
  return one && standing.value ? (one.startedMs ?? 0) + 1000 * (one.steps.spread ?? one.after.shaped?.timeS ?? (standing.value.madeAt - (one.startedMs ?? 0)) / 1000) : 0
})
const since = computed(() => (plan.value && formOf(plan.value.dish).shapedBy === 'hands' ? doneMs.value : standing.value?.madeAt ?? 0))
/** Nobody rolls it any more after so long, ms. */
const LONG_PAST_MS = 6 * 3_600_000
const rolling = computed(() => (standing.value && plan.value && now.value <= since.value + LONG_PAST_MS ? rollingOf(plan.value, standing.value.mass) : null))
const ROWS = new Map(INGREDIENTS.map(row => [row.id, row]))
const rowOf = computed(() => planRow(plan.value ?? { amounts: [] }, ROWS))
const mix = computed(() => mixOf((plan.value?.amounts ?? []).flatMap((one) => {
  const row = rowOf.value(one.ingredient)
  return row ? [{ massG: one.massG, food: row.nutrients }] : []
})))
const thickMm = computed(() => {
  const shaped = cook.value?.after.shaped?.what
  return shaped?.way === 'tray' && standing.value ? trayFill(standing.value.mass.volumeMl, shaped.tray, 18).depthMm : 30
})
const lowW = computed(() => Math.min(6000, Math.max(20, plan.value?.fires[main.value]?.marks[0]?.watts ?? 300)))
const free = computed(() => (plan.value ? freeOf(plan.value.dish, ingredient => rowOf.value(ingredient)?.allergens ?? []) : []))
const cups = computed(() => (house.kitchen?.measures ?? []).filter(one => one.kind === 'cup' && one.volumeMl >= 20))
/** It is asked once: what was answered when the page was opened is not asked again. */
const answered = ref(false)
watch(cook, (one, before) => {
  if (one && !before) answered.value = Object.keys(one.after.liked).length > 0
}, { immediate: true })
const given = computed(() => (cook.value?.after.givenOut ?? []).map(one => ({ id: one.id, ...one.what })))
</script>

<template>
  <HousePage>
    <p
      v-if="state === 'unknown'"
      class="lost"
    >
      There is no such batch here. <NuxtLink to="/tray">What is in the house</NuxtLink>
    </p>
    <p
      v-else-if="state === 'coming'"
      class="lost"
      role="status"
    >
      It has just come off the fire and is being entered. Its tray stands here in a moment; nothing needs to be done.
    </p>
    <p
      v-else-if="state === 'away' && !standing"
      class="lost"
      role="status"
    >
      The hearth is away. What was marked is safe; this page needs the batch's weight from it and comes as soon as it is back.
    </p>
    <div
      v-else-if="batch && plan && cook && standing && house.kitchen"
      class="after"
    >
      <header class="top">
        <div>
          <h1>{{ plan.dish.name }}</h1>
          <p class="soft">
            {{ dayText(batch.line.startedAt) }} · {{ gramsText(standing.mass.massG) }}{{ batch.line.summary.weighed ? ', weighed' : ', forecast' }} · <NuxtLink :to="`/ledger/${id}`">its page in the ledger</NuxtLink>
          </p>
        </div>
        <SegmentedChoice
          label="Made into"
          :chosen="way"
          :options="WAYS"
          @choose="value => way = value"
        />
      </header>
      <ShapeTray
        v-if="way === 'tray'"
        :mass="standing.mass"
        :trays="house.kitchen.trays"
        :colour="colour"
        :shaped="cook.after.shaped?.what ?? null"
        @shape="shaping => after.mark({ kind: 'shaped', payload: { ...shaping } })"
      >
        <template #under>
          <SettingLine
            v-if="standing.setting"
            class="slab"
            :setting="standing.setting"
            :spread-at="spreadAt"
            :now="now"
            :room-c="plan.airC"
          />
        </template>
        <NuxtLink
          v-if="cook.after.shaped?.what.way === 'tray'"
          class="stone-button"
          :to="`/tray/guide/${id}`"
        >
          Print the cutting guide
        </NuxtLink>
      </ShapeTray>
      <ShapeBalls
        v-else-if="way === 'balls'"
        :mass="standing.mass"
        :colour="colour"
        :shaped="cook.after.shaped?.what ?? null"
        :rolling="rolling"
        :since="since"
        :now="now"
        @shape="shaping => after.mark({ kind: 'shaped', payload: { ...shaping } })"
      />
      <ShapeBowls
        v-else
        :mass="standing.mass"
        :cups="cups"
        :colour="colour"
        :shaped="cook.after.shaped?.what ?? null"
        @shape="shaping => after.mark({ kind: 'shaped', payload: { ...shaping } })"
      />
      <div class="below">
        <ServePanel
          :standing="standing"
          :portion-g="plan.dish.portionG"
          :mix="mix"
          :firm="formOf(plan.dish).shapedBy !== 'spoon'"
          :free-of="free"
          :first-offered="plan.dish.choices?.tasting === 'not-tasted'"
          :thick-mm="thickMm"
          :room-c="plan.airC"
          :low-w="lowW"
          :given="given"
          :now="now"
          @give="(massG, to) => after.mark({ kind: 'given.out', payload: { massG, to } })"
          @gone="after.mark({ kind: 'gone', payload: {} })"
          @take-back="after.takeBack('given.out')"
        />
        <KeepPanel
          :standing="standing"
          :now="now"
          @put="(place, inTime) => after.mark({ kind: 'put.away', payload: { place, ...(inTime ? { inTime } : {}) } })"
        >
          <NuxtLink
            class="stone-button"
            :to="`/labels?batches=${id}`"
          >
            Print labels
          </NuxtLink>
        </KeepPanel>
      </div>
      <LikedForm
        v-if="!answered"
        class="slab"
        :liked="cook.after.liked"
        @like="(of, liking) => after.mark({ kind: 'liked', payload: { [of]: liking } })"
      />
      <p
        v-if="standing.gone"
        role="status"
        class="gone"
      >
        Nothing is left of it. <ElButton
          text
          @click="after.takeBack('gone')"
        >
          There is, after all
        </ElButton>
      </p>
    </div>
  </HousePage>
</template>

<style scoped>
.lost { padding: 3rem 0; font-size: 1.3rem; }
.after { display: grid; gap: 22px; padding-top: 14px; }
.top { display: flex; flex-wrap: wrap; justify-content: space-between; gap: 12px 30px; align-items: end; }
.ways { display: flex; gap: 8px; }
.ways :is(.el-button, .stone-button) { min-width: 96px; min-height: 52px; }
.below { display: grid; grid-template-columns: 1fr 1fr; gap: 40px; }
.gone { font-size: 1.2rem; font-weight: 600; }
@media (max-width: 900px) { .below { grid-template-columns: minmax(0, 1fr); } }
</style>
