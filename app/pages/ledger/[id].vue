<script setup lang="ts">
import { until } from '@vueuse/core'
import { computed, ref } from 'vue'
import FinishForm from '../../components/FinishForm.vue'
import HousePage from '../../components/HousePage.vue'
import CauseFinder from '../../components/ledger/CauseFinder.vue'
import ForecastBeside from '../../components/ledger/ForecastBeside.vue'
import LikedForm from '../../components/ledger/LikedForm.vue'
import BatchStory from '../../components/ledger/BatchStory.vue'
import PhotoStrip from '../../components/ledger/PhotoStrip.vue'
import SmallArch from '../../components/SmallArch.vue'
import { useAfterFire } from '../../composables/afterFire'
import { useCooks } from '../../stores/cooks'
import { Anything, ask } from '../../clients/api'
import { useBatchPhotos } from '../../composables/batchPhotos'
import { giveFile } from '../../composables/dishFiles'
import { useFaultFinder } from '../../composables/faultFinder'
import { useArriving } from '../../composables/arriving'
import { dayText, gramsText, timeOfDay } from '../../composables/format'
import { useHearthTime } from '../../composables/hearthTime'
import { useHouse } from '../../stores/house'
import { INGREDIENTS } from '../../../book/ingredients'
import { baseIds } from '../../../core/formulation/dish/basesOf'
import { editedDish, editForLiking, type DishEdit } from '../../../core/cook/faults/dishEdit'
import { faultsAtEnd } from '../../../core/cook/faults/faultsOf'
import { LIKED_FOR, type LikedFor, type Liking } from '../../../core/record/marks/afterFire'
import { LIKED_WORDS } from '../../../words/after'
import { editText } from '../../../words/causes'
import { faultName } from '../../../words/faults'
import { pageTitle } from '../../../words/titles'

const route = useRoute()
const id = String(route.params.id)
const house = useHouse()
void house.load()
const after = useAfterFire(id, useCooks())
const { batch, state, cook } = after
useHead({ title: () => pageTitle('/ledger/', batch.value ? `${batch.value.line.dish}, ${dayText(batch.value.line.startedAt)}` : undefined) })
const coming = useArriving([until(state).not.toBe('loading')])
const now = useHearthTime(30_000)
const trouble = ref('')
const removed = ref(false)
const note = ref<string | null>(null)
const saved = ref('')

const summary = computed(() => batch.value?.line.summary ?? null)
const plan = computed(() => batch.value?.plan ?? null)
/** What it was made from; the first base with its weight. */
const basesText = computed(() => {
  const [dish, amounts] = [plan.value?.dish, plan.value?.amounts ?? []]
  return (dish ? baseIds(dish) : []).flatMap(id => amounts.filter(one => one.id === id)).map(({ ingredient, own, massG }, i) => {
    const name = INGREDIENTS.find(row => row.id === ingredient)?.name ?? own?.name ?? ingredient.replaceAll('-', ' ')
    return `${gramsText(i === 0 ? summary.value?.baseG ?? massG : massG)} ${name.toLowerCase()}`
  }).join(' + ')
})
const faults = computed(() => cook.value?.outcome?.faults ?? summary.value?.faults ?? [])
const line = computed(() => cook.value?.outcome?.line ?? summary.value?.line ?? '')
const found = useFaultFinder(batch, faults)
const liked = computed(() => cook.value?.after.liked ?? {})
async function saveNote(): Promise<void> {
  try {
    await ask('PATCH', `/batches/${id}`, Anything, { note: (note.value ?? '').slice(0, 2000) })
    saved.value = 'kept'
  }
  catch (error) {
    saved.value = `not kept yet: ${error instanceof Error ? error.message : ''}`
  }
}
async function remove(): Promise<void> {
  await ask('DELETE', `/batches/${id}`, Anything).then(() => {
    removed.value = true
  }).catch((error: unknown) => {
    trouble.value = String(error)
  })
}
async function restore(): Promise<void> {
  await ask('POST', `/batches/${id}/restore`, Anything).then(() => {
    removed.value = false
  }).catch((error: unknown) => {
    trouble.value = String(error)
  })
}
const takeAway = (): void => giveFile(`batch-${id}.json`, JSON.stringify(batch.value, null, 2), 'application/json')

const busy = ref(false)
const changeSays = ref('')
const card = computed(() => house.dishes.find(one => one.id === plan.value?.dish.id) ?? null)
/** One touch makes the changed copy: the dish's next version, kept in the book; the batch remembers what led to it. */
async function change(fault: string, cause: string, edit: DishEdit): Promise<void> {
  const rowOf = (ingredient: string): (typeof INGREDIENTS)[number] => INGREDIENTS.find(row => row.id === ingredient) ?? INGREDIENTS[0]!
  const next = card.value ? editedDish(card.value, edit, rowOf, `${editText(edit)}, after ${dayText(batch.value?.line.startedAt ?? 0)}`) : null
  if (!next) {
    changeSays.value = 'This dish has nothing to change so. Nothing was changed.'
    return
  }
  busy.value = true
  await house.keepDish(next).then(() => {
    after.mark({ kind: 'dish.changed', payload: { dish: next.id, version: next.version, fault, cause } })
    changeSays.value = `Kept as version ${next.version} of ${next.name}: ${editText(edit)}. Older versions can be taken again in the book.`
  }, (error: unknown) => {
    changeSays.value = `Not kept: ${error instanceof Error ? error.message : ''}`
  })
  busy.value = false
}
/** The fault that an answer comes near to: by it later batches show whether the change worked. */
const LIKED_AS: Readonly<Record<LikedFor, Readonly<Record<Liking, string>>>> = {
  sweetness: { less: 'too-sweet', more: 'not-sweet', right: '' }, softness: { less: 'runny', more: 'dry', right: '' }, richness: { less: 'greasy', more: 'dry', right: '' },
}
const wishes = computed(() => LIKED_FOR.flatMap((of) => {
  const liking = liked.value[of]
  const edit = liking ? editForLiking(of, liking) : null
  return liking && edit ? [{ of, edit, liking }] : []
}))
function like(of: LikedFor, liking: Liking): void {
  after.mark({ kind: 'liked', payload: { [of]: liking } })
}

const { photos, says: photoSays, add: addPhoto, remove: removePhoto } = useBatchPhotos(id)
</script>

<template>
  <HousePage
    :coming="coming"
    :trouble="trouble || (state === 'away' && !batch ? 'The hearth is away. Nothing is lost; this page comes as soon as it is back.' : state === 'unknown' ? 'There is no such batch here.' : '')"
  >
    <p
      v-if="state === 'coming'"
      class="lost"
      role="status"
    >
      It has just come off the fire and is being entered. It stands here in a moment; nothing needs to be done.
    </p>
    <div class="batch">
      <template v-if="batch && summary && plan">
        <header class="top">
          <div>
            <h1>{{ batch.line.dish }}, {{ dayText(batch.line.startedAt) }}</h1>
            <p class="soft">
              {{ timeOfDay(batch.line.startedAt) }} · {{ basesText }} · {{ batch.line.pan?.name ?? 'no pan' }} · {{ batch.line.fire?.name ?? 'no fire' }}{{ batch.line.version ? ` · version ${batch.line.version}` : '' }}
            </p>
          </div>
          <div class="row">
            <NuxtLink
              class="stone-button"
              :to="`/tray/${id}`"
            >
              At the tray
            </NuxtLink>
            <ElButton @click="takeAway">
              Take it away as JSON
            </ElButton>
            <ElButton
              v-if="!removed"
              @click="remove"
            >
              Remove
            </ElButton>
            <ElButton
              v-else
              type="primary"
              @click="restore"
            >
              Put it back
            </ElButton>
          </div>
        </header>
        <p
          v-if="removed"
          role="status"
        >
          Removed from the ledger. It can be put back.
        </p>
        <div class="pair">
          <figure v-if="summary.plannedStones.length > 0">
            <SmallArch
              :stones="summary.plannedStones"
              :keystone-s="summary.plannedKeystoneS"
              :width="300"
              title="As it was forecast before the fire"
            />
            <figcaption>Forecast before the fire</figcaption>
          </figure>
          <figure>
            <SmallArch
              :stones="summary.stones"
              :keystone-s="summary.keystoneS"
              :fault="faults.length > 0"
              :width="300"
              title="As it went"
            />
            <figcaption>As it went</figcaption>
          </figure>
          <div>
            <ForecastBeside
              :plan="plan"
              :summary="summary"
              :from-memory="cook?.fromMemory ?? false"
            />
            <p
              class="outcome"
              :class="{ danger: faults.length > 0 }"
            >
              {{ faults.length > 0 ? `◆ ${faults.map(one => faultName(one)).join(', ')}` : 'Came right' }}{{ line ? `: “${line}”` : '' }}
            </p>
          </div>
        </div>
        <CauseFinder
          v-if="found && found.faults.length > 0"
          :faults="found.faults"
          :good="found.good"
          :changes="found.changes"
          :busy="busy || house.kitchen === null"
          :says="changeSays"
          @change="change"
        />
        <div class="after slab">
          <FinishForm
            :offered="faultsAtEnd(plan.dish)"
            :faults="faults"
            :line="line"
            @outcome="(named, text) => after.mark({ kind: 'outcome', payload: { faults: named, line: text } })"
          />
          <div class="liking">
            <LikedForm
              :liked="liked"
              @like="like"
            />
            <ElButton
              v-for="wish in wishes"
              :key="wish.of"
              :disabled="busy"
              @click="change(LIKED_AS[wish.of][wish.liking], `liked-${wish.of}`, wish.edit)"
            >
              Next time {{ LIKED_WORDS[wish.of][wish.liking === 'less' ? 'less' : 'more'] }} no more: {{ editText(wish.edit) }}
            </ElButton>
            <p
              v-if="faults.length === 0 && changeSays"
              role="status"
            >
              {{ changeSays }}
            </p>
          </div>
        </div>
        <div class="after slab">
          <PhotoStrip
            :photos="photos"
            :title="`${batch.line.dish}, ${dayText(batch.line.startedAt)}`"
            :now="now"
            :says="photoSays"
            @add="addPhoto"
            @remove="removePhoto"
          />
          <div>
            <label for="note">Note</label>
            <ElInput
              id="note"
              :model-value="note ?? batch.line.note"
              type="textarea"
              :rows="3"
              maxlength="2000"
              @update:model-value="text => note = text"
              @change="saveNote"
            />
            <p
              class="soft small"
              role="status"
            >
              {{ saved }}
            </p>
          </div>
        </div>
        <BatchStory
          :plan="plan"
          :moments="summary.moments"
          :notes="cook?.notes ?? []"
          @note="(text, atS) => after.mark({ kind: 'note', payload: { text, atS } })"
        />
      </template>
      <p><NuxtLink to="/ledger">All batches</NuxtLink></p>
    </div>
  </HousePage>
</template>

<style scoped>
.batch { display: grid; gap: 18px; padding-top: 16px; }
.top { display: flex; justify-content: space-between; gap: 20px; flex-wrap: wrap; }
.row { display: flex; gap: 10px; align-items: start; }
.pair { display: grid; grid-template-columns: 250px 250px minmax(0, 1fr); gap: 30px; align-items: start; }
figure { margin: 0; text-align: center; }
figure :deep(svg) { border-bottom: 4px solid var(--ink); }
figcaption { margin-top: 6px; font-weight: 600; }
.lost { padding: 3rem 0; font-size: 1.3rem; }
.outcome { font: 600 1.25rem var(--voice); margin: 14px 0; }
label { font-weight: 600; display: block; }

.after { display: grid; grid-template-columns: 1fr 1fr; gap: 40px; }
.liking { display: grid; gap: 8px; align-content: start; }
@media (max-width: 1000px) { .after { grid-template-columns: minmax(0, 1fr); } .pair { grid-template-columns: 1fr 1fr; } .pair > div { grid-column: 1 / -1; } }
</style>
