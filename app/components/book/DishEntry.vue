<script setup lang="ts">
import { MoreFilled } from '@element-plus/icons-vue'
import { computed } from 'vue'
import { minutesText } from '../../composables/format'
import type { DishArch } from '../../stores/dishArches'
import type { Ingredient } from '../../../contracts/ingredient'
import { labToHex } from '../../../core/materials/colour/labToHex'
import type { DishCard } from '../../../core/formulation/dish/dish'
import SmallArch from '../SmallArch.vue'

const props = defineProps<{
  /** The dish. */
  dish: DishCard
  /** Row of its base in the table. */
  base: Ingredient
  /** Usual minutes before, at and after the fire. */
  times: { readonly before: number, readonly fire: number }
  /** Its arch as it would be cooked in this house; null where it cannot be, undefined until it has come. */
  arch: DishArch | null | undefined
  /** What of it is not in the house, by short names. */
  missing: readonly string[]
  /** True where it is put aside. */
  aside: boolean
}>()

const emit = defineEmits<{
  /** Its versions are to be looked at. */
  look: []
  /** A copy of it is wanted. */
  copy: []
  /** It is to be given away as a file. */
  give: [kind: 'dish' | 'recipe' | 'address']
  /** It is to be put aside, or taken back. */
  aside: [away: boolean]
}>()

/** More names are left out: a line of them is enough to know it by. */
const NAMES = 3
/** So many missing things can be named; more are counted. */
const NAMED = 4
const timeText = (minutes: number): string => (minutes >= 90 ? `${Math.round(minutes / 30) / 2} h` : `${Math.round(minutes)} min`)
/** Until its forecast has come, the colour of its base alone, in a usual time. */
const seen = computed(() => props.arch ?? { stones: [{ fromS: 0, toS: 60 * props.times.fire, colour: labToHex(props.base.colour) }], keystoneS: 30 * props.times.fire, done: null })
const fireText = computed(() => (seen.value.done ? minutesText(seen.value.done) : `about ${timeText(props.times.fire)}`))
const lacks = computed(() => {
  const { missing } = props
  return missing.length === 0 ? 'all in the house' : missing.length <= NAMED ? `to get: ${missing.join(', ')}` : `to get: ${missing.length} things`
})
const COMMANDS: Readonly<Record<string, () => void>> = {
  copy: () => emit('copy'), dish: () => emit('give', 'dish'), recipe: () => emit('give', 'recipe'), address: () => emit('give', 'address'),
  versions: () => emit('look'), print: () => void navigateTo(`/card/${props.dish.id}`), aside: () => emit('aside', !props.aside),
}
/** What was chosen is done once the menu is gone: it gives the focus back to its button, and would take it from what opens. */
let wanted = ''
function closed(open: boolean): void {
  const command = wanted
  wanted = ''
  if (!open) setTimeout(() => COMMANDS[command]?.(), 0)
}
</script>

<template>
  <li class="entry">
    <span
      class="stand"
      :class="{ outline: !arch }"
    ><SmallArch
      :stones="seen.stones"
      :keystone-s="seen.keystoneS"
      :title="`${dish.name} as it would be cooked here`"
    /></span>
    <div>
      <h2>
        <NuxtLink :to="`/measure?dish=${dish.id}`">
          {{ dish.name }}
        </NuxtLink>
      </h2>
      <p class="soft small names">
        {{ dish.otherNames.slice(0, NAMES).join(' · ') }}
      </p>
      <p>
        <strong>{{ fireText }}</strong> at the fire{{ times.before >= 1 ? `, ${timeText(times.before)} before` : '' }}
      </p>
      <p
        class="small lacks"
        :class="{ all: missing.length === 0 }"
      >
        {{ lacks }}
      </p>
    </div>
    <ElDropdown
      trigger="click"
      @command="(command: string) => { wanted = command }"
      @visible-change="closed"
    >
      <ElButton
        class="more"
        text
        :icon="MoreFilled"
        :aria-label="`More of ${dish.name}`"
      />
      <template #dropdown>
        <ElDropdownMenu>
          <ElDropdownItem command="copy">
            Copy
          </ElDropdownItem>
          <ElDropdownItem command="print">
            Print its card
          </ElDropdownItem>
          <ElDropdownItem command="versions">
            Its versions
          </ElDropdownItem>
          <ElDropdownItem
            command="dish"
            divided
          >
            As a file
          </ElDropdownItem>
          <ElDropdownItem command="recipe">
            As a Recipe (JSON-LD)
          </ElDropdownItem>
          <ElDropdownItem command="address">
            To another house
          </ElDropdownItem>
          <ElDropdownItem
            command="aside"
            divided
          >
            {{ aside ? 'Take back into the book' : 'Put aside' }}
          </ElDropdownItem>
        </ElDropdownMenu>
      </template>
    </ElDropdown>
  </li>
</template>

<style scoped>
.entry { display: grid; grid-template-columns: 92px minmax(0, 1fr) auto; gap: 16px; align-items: start; contain: layout; }
.stand { display: block; border-bottom: 4px solid var(--ink); }
.stand.outline { opacity: 0.35; }
h2 { font-size: 1.3rem; }
h2 a { text-decoration-thickness: 1px; text-underline-offset: 4px; text-decoration-color: var(--line); }
p { line-height: 1.3; }
.lacks { color: var(--ink-soft); }
.lacks.all { color: var(--accent); font-weight: 600; }
.more { min-width: 44px; padding: 0; font-size: 1.25rem; align-self: start; }
.entry > :last-child { align-self: start; }
</style>
