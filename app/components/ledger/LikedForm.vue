<script setup lang="ts">
import { LIKED_FOR, LIKINGS, type Liked, type LikedFor, type Liking } from '../../../core/live/afterFire'
import { LIKED_WORDS, likingText } from '../../../words/after'

defineProps<{
  /** What was answered. */
  liked: Liked
}>()

const emit = defineEmits<{
  /** An answer of those who ate it. */
  like: [of: LikedFor, liking: Liking]
}>()
</script>

<template>
  <section
    class="liked"
    aria-labelledby="liked"
  >
    <h2 id="liked">
      How was it liked?
    </h2>
    <div
      v-for="of in LIKED_FOR"
      :key="of"
      class="row"
      role="group"
      :aria-label="LIKED_WORDS[of].asks"
    >
      <span class="asks">{{ LIKED_WORDS[of].asks }}</span>
      <button
        v-for="liking in LIKINGS"
        :key="liking"
        class="stone-button"
        :aria-pressed="liked[of] === liking"
        @click="emit('like', of, liking)"
      >
        {{ likingText(of, liking) }}
      </button>
    </div>
  </section>
</template>

<style scoped>
.liked { display: grid; gap: 8px; align-content: start; }
.row { display: grid; grid-template-columns: 6.2em repeat(3, minmax(0, 1fr)); gap: 6px; align-items: center; }
.asks { font-weight: 600; }
.stone-button { padding-inline: 0.3rem; min-height: 48px; line-height: 1.1; }
@media (max-width: 500px) { .row { grid-template-columns: repeat(3, minmax(0, 1fr)); } .asks { grid-column: 1 / -1; } }
</style>
