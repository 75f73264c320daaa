<script setup lang="ts">
import { ref } from 'vue'
import type { Measure } from '../../../contracts/kitchen'
import { CoreError } from '../../../core/error'
import { cupVolumeMl } from '../../../core/measures/cupVolumeMl'
import { drawnSize } from '../../../core/measures/drawnSize'
import { ORIGIN_WORDS } from '../../../words/measure'

const props = defineProps<{
  /** The cup or spoon. */
  item: Measure
}>()

const emit = defineEmits<{
  /** The changed cup. */
  change: [item: Measure]
}>()

const name = ref(props.item.name)
const volume = ref(String(Math.round(props.item.volumeMl * 10) / 10))
const empty = ref('')
const full = ref('')
const trouble = ref('')
const number = (text: string): number => Number(text.trim().replace(',', '.') || Number.NaN)

function send(values: Partial<Measure>): void {
  trouble.value = ''
  emit('change', { ...props.item, ...values })
}
function rename(): void {
  const text = name.value.trim().slice(0, 60)
  if (text === '') trouble.value = 'A cup needs a name. The old one is kept.'
  else send({ name: text })
}
function enter(): void {
  const ml = number(volume.value)
  if (ml >= 1 && ml <= 5000) send({ volumeMl: ml, origin: 'entered', ...drawnSize(ml, props.item.kind) })
  else trouble.value = 'A cup holds between 1 and 5 000 ml. Nothing was changed.'
}
function weigh(): void {
  if (empty.value.trim() === '' || full.value.trim() === '') return
  try {
    const ml = Math.round(cupVolumeMl(number(empty.value), number(full.value)) * 10) / 10
    if (!(ml <= 5000)) throw new CoreError('out-of-range', 'cup', {})
    volume.value = String(ml)
    send({ volumeMl: ml, origin: 'weighed', ...drawnSize(ml, props.item.kind) })
  }
  catch {
    trouble.value = 'Full of water it must weigh more than empty, in grams. Nothing was changed.'
  }
}
</script>

<template>
  <div class="editor">
    <label>Name<ElInput
      v-model="name"
      maxlength="60"
      @change="rename"
    /></label>
    <label>Holds<ElInput
      v-model="volume"
      inputmode="decimal"
      @change="enter"
    ><template #append>ml</template></ElInput></label>
    <p class="soft">
      {{ ORIGIN_WORDS[item.origin] }}
    </p>
    <fieldset>
      <legend>Or weigh it, empty and full of water to the brim you use</legend>
      <label>Empty<ElInput
        v-model="empty"
        inputmode="decimal"
        @change="weigh"
      ><template #append>g</template></ElInput></label>
      <label>Full<ElInput
        v-model="full"
        inputmode="decimal"
        @change="weigh"
      ><template #append>g</template></ElInput></label>
    </fieldset>
    <p
      class="danger"
      role="alert"
    >
      {{ trouble }}
    </p>
  </div>
</template>
