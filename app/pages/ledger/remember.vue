<script setup lang="ts">
import { computed, ref } from 'vue'
import DateField from '../../components/DateField.vue'
import FinishForm from '../../components/FinishForm.vue'
import HousePage from '../../components/HousePage.vue'
import ManyMemories from '../../components/ledger/ManyMemories.vue'
import MemoryForm from '../../components/ledger/MemoryForm.vue'
import NumberField from '../../components/kitchen/NumberField.vue'
import { sendRemembered } from '../../composables/sendRemembered'
import { useSettings } from '../../stores/settings'
import { hearthNow } from '../../clients/hearthClock'
import { newId } from '../../clients/sync/outbox'
import { typedGrams, weightUnit } from '../../composables/typed'
import { useHouse } from '../../stores/house'
import { INGREDIENTS } from '../../../book/ingredients'
import { isoDay, wallMs } from '../../../core/maths/time/houseDay'
import { houseTable } from '../../../core/materials/composition/corrections'
import { END_FAULTS } from '../../../core/cook/faults/faults'
import type { Observation } from '../../../core/record/marks/observation'
import type { CookPlan } from '../../../core/record/plan/plan'
import { daysMs } from '../../../core/maths/time/moments'

const NOON_H = 12
const house = useHouse()
const settings = useSettings()
void house.load()
const router = useRouter()
const table = computed(() => houseTable(INGREDIENTS, house.kitchen))
const pans = computed(() => house.kitchen?.pans.filter(one => one.kind === 'pan') ?? [])
const today = isoDay(hearthNow(), settings.zone)
const day = ref(today)
const finished = ref('')
const outcome = ref<{ readonly faults: readonly string[], readonly line: string }>({ faults: [], line: '' })
const trouble = ref('')
/** The longest cook that can be remembered ends before now, ms. */
const LONGEST_MS = 6 * 3_600_000
/** Noon of that day, but never later than now. */
const cookedAt = computed(() => {
  const noon = /^\d{4}-\d{2}-\d{2}$/.test(day.value) ? wallMs(day.value, NOON_H * 60, settings.zone) : Number.NaN
  return Number.isFinite(noon) ? Math.min(noon, hearthNow() - LONGEST_MS) : hearthNow() - daysMs(1)
})

async function keep(_: string, plan: CookPlan, told: readonly Observation[]): Promise<void> {
  const id = newId()
  try {
    await sendRemembered(id, { plan, observations: told })
    await router.push(`/ledger/${id}`)
  }
  catch (error) {
    trouble.value = `Not kept: ${error instanceof Error ? error.message : ''} What you entered still stands here.`
  }
}
const finishedG = computed(() => {
  const grams = typedGrams(finished.value)
  return grams > 0 ? grams : null
})
</script>

<template>
  <HousePage :trouble="trouble || house.trouble || ''">
    <div class="remember">
      <h1>Enter a past batch</h1>
      <p class="soft">
        What you do not remember stays open: only the minutes at the fire are needed. It stands in the ledger like any other, and says something of your fire; less than one that was marked as it went.
      </p>
      <MemoryForm
        v-if="house.kitchen && house.dishes.length > 0"
        :dishes="house.dishes"
        :table="table"
        :pans="pans"
        :fires="house.kitchen.fires"
        :cups="house.cups"
        :now-ms="cookedAt"
        :finished-g="finishedG"
        :outcome="outcome"
        @remember="keep"
      >
        <div class="more">
          <label>On the day<DateField
            v-model="day"
            label="On the day"
            :latest="today"
          /></label>
          <NumberField
            v-model="finished"
            label="Finished weight, if it was weighed"
            :unit="weightUnit()"
          />
        </div>
        <FinishForm
          class="finish"
          :offered="END_FAULTS"
          :faults="[]"
          line=""
          @outcome="(faults, line) => outcome = { faults, line }"
        />
      </MemoryForm>
      <ManyMemories
        v-if="house.kitchen && house.dishes.length > 0"
        :dishes="house.dishes"
        :table="table"
        :kitchen="house.kitchen"
      />
    </div>
  </HousePage>
</template>

<style scoped>
.remember { display: grid; gap: 16px; padding-top: 16px; }
.more { display: flex; flex-wrap: wrap; gap: 12px 20px; align-items: end; }
.more label { font-weight: 600; font-size: 0.9375rem; display: grid; gap: 3px; }
.finish { width: 100%; }
</style>
