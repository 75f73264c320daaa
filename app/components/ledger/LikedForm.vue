<script setup lang="ts">
import { LIKED_FOR, LIKINGS, type Liked, type LikedFor, type Liking } from '../../../core/record/marks/afterFire'
import { LIKED_WORDS, likingText } from '../../../words/after'
import SegmentedChoice from '../SegmentedChoice.vue'

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
    >
      <span
        class="asks"
        aria-hidden="true"
      >{{ LIKED_WORDS[of].asks }}</span>
      <SegmentedChoice
        :label="LIKED_WORDS[of].asks"
        :chosen="liked[of]"
        :options="LIKINGS.map(value => ({ value, label: likingText(of, value) }))"
        @choose="liking => emit('like', of, liking)"
      />
    </div>
  </section>
</template>

<style scoped>
.liked { display: grid; gap: 8px; align-content: start; }
.row { display: grid; grid-template-columns: 6.2em minmax(0, 1fr); gap: 6px; align-items: center; }
.asks { font-weight: 600; }
@media (max-width: 500px) { .row { grid-template-columns: minmax(0, 1fr); } }
</style>
