<script setup lang="ts">
import { dayText } from '../../composables/format'
import type { DishVersion } from '../../../contracts/dish'
import type { Ingredient } from '../../../contracts/ingredient'
import { labToHex } from '../../../core/colour/labToHex'
import type { DishCard } from '../../../core/dish/dish'
import { schoolOf } from '../../../words/dish'

defineProps<{
  /** The dish. */
  dish: DishCard
  /** Row of its base in the table. */
  base: Ingredient
  /** Usual minutes before, at and after the fire. */
  times: { readonly before: number, readonly fire: number }
  /** What of it is not in the house, by short names. */
  missing: readonly string[]
  /** True while more of it is shown. */
  open: boolean
  /** Its versions, newest first, while more of it is shown. */
  versions: readonly DishVersion[]
  /** True where it is put aside. */
  aside: boolean
}>()

const emit = defineEmits<{
  /** More of it is to be shown, or not any more. */
  look: []
  /** A copy of it is wanted. */
  copy: []
  /** It is to be given away as a file. */
  give: [kind: 'dish' | 'recipe' | 'address']
  /** It is to be put aside, or taken back. */
  aside: [away: boolean]
  /** An older version is to be taken again. */
  restore: [dish: DishCard]
}>()

const timeText = (minutes: number): string => (minutes >= 90 ? `${Math.round(minutes / 30) / 2} h` : `${Math.round(minutes)} min`)
</script>

<template>
  <li class="entry">
    <svg
      viewBox="0 0 64 64"
      width="52"
      height="52"
      aria-hidden="true"
    ><path
      class="arch"
      d="M8 60V32a24 24 0 0 1 48 0v28H46V32a14 14 0 0 0-28 0v28z"
    /><rect
      x="20"
      y="44"
      width="24"
      height="16"
      :fill="labToHex(base.colour)"
    /></svg>
    <div>
      <h2>
        <NuxtLink :to="`/measure?dish=${dish.id}`">
          {{ dish.name }}
        </NuxtLink>
      </h2>
      <p class="soft small">
        {{ dish.otherNames.slice(0, 4).join(' · ') }}
      </p>
      <p class="small">
        {{ base.name }}; {{ schoolOf(dish).slice(0, 4).join(', ') }}
      </p>
      <p class="soft small">
        {{ times.before >= 1 ? `${timeText(times.before)} to get ready, ` : '' }}{{ timeText(times.fire) }} at the fire<template v-if="missing.length > 0 && missing.length < 5">
          · not in the house: {{ missing.join(', ') }}
        </template><template v-if="missing.length === 0">
          · all in the house
        </template>
      </p>
      <div
        v-if="open"
        class="more"
      >
        <ElButton
          text
          @click="emit('copy')"
        >
          Copy
        </ElButton>
        <ElButton
          text
          @click="emit('give', 'dish')"
        >
          As a file
        </ElButton>
        <ElButton
          text
          @click="emit('give', 'recipe')"
        >
          As a Recipe (JSON-LD)
        </ElButton>
        <ElButton
          text
          @click="emit('give', 'address')"
        >
          To another house
        </ElButton>
        <NuxtLink
          class="stone-button quiet"
          :to="`/card/${dish.id}`"
        >
          Print
        </NuxtLink>
        <ElButton
          text
          @click="emit('aside', !aside)"
        >
          {{ aside ? 'Take back into the book' : 'Put aside' }}
        </ElButton>
        <ol
          v-if="versions.length > 1"
          class="small"
        >
          <li
            v-for="(version, i) in versions"
            :key="version.version"
          >
            {{ dayText(version.createdAt) }}, version {{ version.version }}: {{ schoolOf(version.dish).slice(0, 3).join(', ') }}
            <ElButton
              v-if="i > 0"
              text
              @click="emit('restore', version.dish)"
            >
              Take this one again
            </ElButton>
          </li>
        </ol>
        <p
          v-else
          class="soft small"
        >
          Not changed yet.
        </p>
      </div>
    </div>
    <ElButton
      class="dots"
      text
      :aria-expanded="open"
      :aria-label="`More of ${dish.name}`"
      @click="emit('look')"
    >
      More
    </ElButton>
  </li>
</template>

<style scoped>
.entry { display: grid; grid-template-columns: 52px minmax(0, 1fr) auto; gap: 14px; align-items: start; }
h2 { font-size: 1.25rem; }
h2 a { text-decoration-thickness: 1px; text-underline-offset: 4px; text-decoration-color: var(--line); }
.arch { fill: var(--ink); }
.dots { min-height: 40px; }
.more { margin-top: 6px; }
.more ol { margin: 6px 0; padding-left: 1.1em; }
</style>
