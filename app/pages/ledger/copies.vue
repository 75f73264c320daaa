<script setup lang="ts">
import type { CopyKind } from '../../../contracts/backup'
import HousePage from '../../components/HousePage.vue'
import { useArriving } from '../../composables/arriving'
import { dayText, degreesText, gramsText, timeOfDay } from '../../composables/format'
import { useHouseFiles } from '../../composables/houseFiles'
import { useSetAside, type SetAside } from '../../composables/setAside'
import { useCooks } from '../../stores/cooks'
import { momentText } from '../../../words/moment'
import FileChooser from '../../components/FileChooser.vue'

const { arrived, copies, size, unreadable, says, wrong, busy, standing, takeIn, restore, tell } = useHouseFiles()
const coming = useArriving([arrived])
const { list: refused, letGo } = useSetAside()
const cooks = useCooks()
for (const stream of new Set(refused.value.flatMap(one => (one.mark ? [one.mark.stream] : [])))) void cooks.load(stream)
/** What it was, in the words of its cook where that is known. */
function saidOf({ mark, dish }: SetAside): string {
  if (!mark) return dish ? `The plan of ${dish}` : 'Something of an older version'
  const plan = cooks.known[mark.stream]?.plan
  return plan ? `${plan.dish.name}: ${momentText(plan, mark.kind, mark.payload, { grams: gramsText, degrees: degreesText })}` : `A mark (${mark.kind}) of a cook that is not here`
}

const sizeText = (bytes: number): string => (bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${Math.round(bytes / 100_000) / 10} MB`)
const KINDS: Readonly<Record<CopyKind, string>> = { 'daily': 'of the day', 'before-update': 'before an update', 'before-restore': 'before a backup was restored' }
const wish = (name: string, kind: CopyKind): string => (kind === 'daily' ? name.slice(7, 17) : name)
</script>

<template>
  <HousePage :coming="coming">
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
        <h2>The whole house as one file</h2>
        <p class="soft">
          Kitchen, book, batches, photographs, days and all that was learned; not the passphrase, and not who has entered. It can be made while something is on the fire. Restored, it takes the place of what is here, whole or not at all; what stands here is put aside as a copy first.
        </p>
        <div class="row">
          <a
            class="stone-button first"
            href="/api/backup"
            download
          >Make a backup{{ size ? `, about ${sizeText(size.bytes)}` : '' }}</a>
          <a
            v-if="size && size.photos > 0"
            class="stone-button"
            href="/api/backup?photos=0"
            download
          >Without {{ size.photos === 1 ? 'its photograph' : `its ${size.photos} photographs` }}, about {{ sizeText(size.withoutPhotosBytes) }}</a>
          <FileChooser
            label="Restore a backup"
            accept=".gz,application/gzip"
            :disabled="busy"
            @chosen="restore"
          />
        </div>
      </section>
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
          <FileChooser
            label="Take batches in"
            accept=".jsonl,.ndjson,application/jsonl"
            :disabled="busy"
            @chosen="takeIn"
          />
        </div>
      </section>
      <section class="slab">
        <h2>Copies made by themselves</h2>
        <p class="soft">
          One a day, the last ten are kept, in the folder “{{ copies?.folder ?? 'copies' }}” beside the database; and one before every update and every restored backup. To take one: stop the hearth and start it as is said beside the copy. What stands here then is kept in a folder of its own.
        </p>
        <ul v-if="copies">
          <li
            v-for="one in copies.copies"
            :key="one.name"
          >
            <strong>{{ dayText(one.at) }}{{ one.kind === 'daily' ? '' : ` ${timeOfDay(one.at)}` }}</strong> {{ KINDS[one.kind] }}, {{ sizeText(one.bytes) }} <code>npm start -- --take-copy {{ wish(one.name, one.kind) }}</code>
          </li>
        </ul>
      </section>
      <section
        v-if="unreadable.length > 0"
        class="slab"
      >
        <h2>What cannot be read here</h2>
        <p class="soft">
          It stands in the house as it was put there, and goes along in every backup. This version cannot show it; a newer one may.
        </p>
        <ul>
          <li
            v-for="one in unreadable"
            :key="`${one.what} ${one.name}`"
          >
            <strong>{{ one.what }}</strong> {{ one.name }}
          </li>
        </ul>
      </section>
      <section
        v-if="refused.length > 0"
        id="refused"
        class="slab"
      >
        <h2>What the hearth refused</h2>
        <p class="soft">
          It was marked on this device and will never be taken as it is. It is kept here and holds up nothing else; mark it again where it still matters.
        </p>
        <ul>
          <li
            v-for="one in refused"
            :key="one.key"
          >
            <strong>{{ saidOf(one) }}</strong><template v-if="one.mark">, {{ dayText(one.mark.atMs) }} {{ timeOfDay(one.mark.atMs) }}</template>: {{ one.why }}
            <ElButton
              text
              @click="letGo(one.key)"
            >
              Let it go
            </ElButton>
          </li>
        </ul>
      </section>
      <p><NuxtLink to="/ledger">Back to the ledger</NuxtLink></p>
    </div>
    <ElDialog
      :model-value="standing !== null"
      title="Something stands here already"
      width="min(34rem, calc(100vw - 24px))"
      append-to-body
      @update:model-value="tell(false)"
    >
      <p class="ask">
        In this house: <strong>{{ standing }}</strong>. The backup takes the place of all of it. What stands here is first put aside as a copy, which can be taken again.
      </p>
      <div class="row">
        <ElButton
          type="primary"
          @click="tell(true)"
        >
          Put it aside and restore
        </ElButton>
        <ElButton @click="tell(false)">
          Leave it as it is
        </ElButton>
      </div>
    </ElDialog>
  </HousePage>
</template>

<style scoped>
.copies { display: grid; gap: 22px; padding-top: 16px; max-width: 62em; }
section { display: grid; gap: 10px; }
.row { display: flex; flex-wrap: wrap; gap: 10px; }
label:focus-within { outline: 3px solid var(--accent); outline-offset: 2px; }
.says { font-weight: 600; font-size: 1.15rem; }
ul { margin: 0; padding-left: 1.2em; }
li { padding: 3px 0; }
code { font: 600 0.95rem ui-monospace, monospace; background: var(--wall-sunk); padding: 2px 6px; overflow-wrap: anywhere; }
.ask { margin: 0 0 14px; font-size: 1.1rem; }
</style>
