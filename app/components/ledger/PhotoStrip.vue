<script setup lang="ts">
import type { PhotoLine } from '../../../contracts/photo'
import { dateTimeText } from '../../composables/format'
import FileChooser from '../FileChooser.vue'

defineProps<{
  /** Photographs kept so far. */
  photos: readonly PhotoLine[]
  /** What is photographed, for the screen reader. */
  title: string
  /** The hearth's time. */
  now: number
  /** What went wrong, or what is under way. */
  says: string
}>()

const emit = defineEmits<{
  /** A picture was chosen. */
  add: [file: File]
  /** One is taken out. */
  remove: [id: string]
}>()

</script>

<template>
  <section
    class="photos"
    aria-labelledby="photos"
  >
    <h2 id="photos">
      Photographs
    </h2>
    <ul v-if="photos.length > 0">
      <li
        v-for="(photo, i) in photos"
        :key="photo.id"
      >
        <a
          :href="`/api/photos/${photo.id}`"
          target="_blank"
          rel="noopener"
        ><img
          :src="`/api/photos/${photo.id}`"
          :alt="`${title}, photograph ${i + 1}`"
          :width="photo.width"
          :height="photo.height"
          loading="lazy"
        ></a>
        <span class="small soft">{{ dateTimeText(photo.at, now) }}</span>
        <ElButton
          text
          :aria-label="`Remove photograph ${i + 1}`"
          @click="emit('remove', photo.id)"
        >
          remove
        </ElButton>
      </li>
    </ul>
    <FileChooser
      label="Add a photograph"
      accept="image/*"
      multiple
      @chosen="file => emit('add', file)"
    />
    <p
      class="soft small"
      role="status"
    >
      {{ says || 'Kept small, on this hearth alone, without place or camera.' }}
    </p>
  </section>
</template>

<style scoped>
.photos { display: grid; gap: 8px; align-content: start; }
ul { list-style: none; margin: 0; padding: 0; display: flex; flex-wrap: wrap; gap: 12px; }
li { display: grid; justify-items: start; }
img { display: block; width: auto; height: 150px; border: 2px solid var(--ink); border-bottom-width: 5px; }
.add { justify-self: start; position: relative; }
.add:focus-within { outline: 3px solid var(--accent); outline-offset: 2px; }
</style>
