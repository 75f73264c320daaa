<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { CopiesSchema, TakenInSchema, type Copies } from '../../../contracts/backup'
import { ProblemSchema } from '../../../contracts/problem'
import HousePage from '../../components/HousePage.vue'
import { ask } from '../../composables/api'
import { dayText } from '../../composables/format'

const copies = shallowRef<Copies | null>(null)
void ask('GET', '/copies', CopiesSchema).then((found) => {
  copies.value = found
}).catch(() => undefined)
const says = ref('')
const wrong = ref(false)
const busy = ref(false)

/** Sends a file as it is; what came of it, or what is wrong with it. */
async function send(event: Event, path: string, type: string, done: (answer: unknown) => string): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  busy.value = true
  says.value = 'Reading it…'
  wrong.value = false
  try {
    const response = await fetch(`/api${path}`, { method: 'POST', body: file, headers: { 'content-type': type } })
    const answer: unknown = await response.json()
    const problem = ProblemSchema.safeParse(answer)
    wrong.value = !response.ok
    says.value = response.ok ? done(answer) : problem.success ? `${problem.data.title}${problem.data.fields[0] ? ` (${problem.data.fields[0].path})` : ''}. ${problem.data.detail}` : 'The hearth is away. Nothing was changed.'
  }
  catch {
    wrong.value = true
    says.value = 'The hearth is away, or the connection broke. Nothing was changed.'
  }
  busy.value = false
}
function takenIn(answer: unknown): string {
  const parsed = TakenInSchema.safeParse(answer)
  return parsed.success ? `${parsed.data.taken} ${parsed.data.taken === 1 ? 'batch' : 'batches'} taken in${parsed.data.known > 0 ? `, ${parsed.data.known} stood here already` : ''}.` : 'Taken in.'
}
const size = (bytes: number): string => (bytes < 1_000_000 ? `${Math.round(bytes / 1000)} kB` : `${Math.round(bytes / 100_000) / 10} MB`)
</script>

<template>
  <HousePage>
    <div class="copies">
      <h1>Take away and keep safe</h1>
      <p
        v-if="says"
        :class="{ danger: wrong }"
        class="says"
        role="status"
      >
        {{ says }}
      </p>
      <section class="slab">
        <h2>Batches as files</h2>
        <p class="soft">
          CSV for a table, one line a batch. JSON Lines holds each batch whole but for its photographs, and can be taken in again here or in another house; what stands there already stays as it is.
        </p>
        <div class="row">
          <a
            class="stone-button"
            href="/api/batches/export.csv"
            download
          >Batches as CSV</a>
          <a
            class="stone-button"
            href="/api/batches/export.jsonl"
            download
          >Batches as JSON Lines</a>
          <label class="stone-button">Take batches in<input
            class="visually-hidden"
            type="file"
            accept=".jsonl,.ndjson,application/jsonl"
            :disabled="busy"
            @change="event => send(event, '/batches/import', 'application/jsonl', takenIn)"
          ></label>
        </div>
      </section>
      <section class="slab">
        <h2>The whole house as one file</h2>
        <p class="soft">
          Kitchen, book, batches, photographs and all that was learned; not the passphrase, and not who has entered. It can be made while something is on the fire. It is restored into an empty house, whole or not at all; a house with batches in it refuses and stays as it is.
        </p>
        <div class="row">
          <a
            class="stone-button first"
            href="/api/backup"
            download
          >Make a backup</a>
          <label class="stone-button">Restore a backup<input
            class="visually-hidden"
            type="file"
            accept=".gz,application/gzip"
            :disabled="busy"
            @change="event => send(event, '/backup/restore', 'application/gzip', () => 'Restored. Everything stands as it did.')"
          ></label>
        </div>
      </section>
      <section class="slab">
        <h2>Copies made by themselves</h2>
        <p class="soft">
          One a day, the last ten are kept, in the folder “{{ copies?.folder ?? 'copies' }}” beside the database. A copy takes the database's place while the hearth is off.
        </p>
        <ul v-if="copies">
          <li
            v-for="one in copies.copies"
            :key="one.name"
          >
            <strong>{{ dayText(one.at) }}</strong> {{ one.name }}, {{ size(one.bytes) }}
          </li>
        </ul>
      </section>
      <p><NuxtLink to="/ledger">Back to the ledger</NuxtLink></p>
    </div>
  </HousePage>
</template>

<style scoped>
.copies { display: grid; gap: 22px; padding-top: 16px; max-width: 62em; }
section { display: grid; gap: 10px; }
.row { display: flex; flex-wrap: wrap; gap: 10px; }
label:focus-within { outline: 3px solid var(--accent); outline-offset: 2px; }
.says { font-weight: 600; font-size: 1.15rem; }
ul { margin: 0; padding-left: 1.2em; }
</style>
