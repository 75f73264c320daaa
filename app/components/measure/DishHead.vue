<script setup lang="ts">
defineProps<{
  /** Id of the dish in hand. */
  id: string
  /** Its name. */
  name: string
  /** Its family and how it is cooked, in words. */
  school: string
  /** True where it differs from the book's. */
  changed: boolean
  /** True where it is a dish of the house's own already: its next version is its own as well. */
  ours: boolean
}>()

const emit = defineEmits<{
  /** The change is to be kept in the dish. */
  keep: []
  /** It is to be kept beside the dish it came from. */
  own: []
}>()
</script>

<template>
  <header class="head">
    <div>
      <h1>{{ name }}</h1>
      <p class="soft">
        {{ school }}
      </p>
    </div>
    <p class="keeps">
      <template v-if="changed">
        <ElButton
          text
          @click="emit('keep')"
        >
          Keep the change
        </ElButton>
        <ElButton
          v-if="!ours"
          text
          @click="emit('own')"
        >
          Keep as a dish of ours
        </ElButton>
      </template>
      <NuxtLink
        class="stone-button quiet"
        :to="`/card/${id}`"
      >Print</NuxtLink>
    </p>
  </header>
</template>

<style scoped>
.head { display: flex; justify-content: space-between; gap: 20px; align-items: start; }
h1 { font-size: 1.9rem; }
.keeps { display: flex; white-space: nowrap; }
@media (max-width: 700px) {
  .head { display: grid; }
  .keeps { white-space: normal; flex-wrap: wrap; }
}
</style>
