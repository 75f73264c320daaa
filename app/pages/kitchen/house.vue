<script setup lang="ts">
import type { FormInstance } from 'element-plus'
import { reactive, ref } from 'vue'
import CalendarKeys from '../../components/kitchen/CalendarKeys.vue'
import HouseAddress from '../../components/kitchen/HouseAddress.vue'
import HousePage from '../../components/HousePage.vue'
import { dayText, timeOfDay } from '../../composables/format'
import { useHouseNetwork } from '../../composables/houseNetwork'
import { formRules, isRight } from '../../composables/formRules'
import { LEAST_PASSPHRASE, PassphraseSchema } from '../../../contracts/house'

const { state, sessions, says, trouble, setPassphrase, end } = useHouseNetwork()
const typed = reactive({ passphrase: '', old: '' })
const form = ref<FormInstance | null>(null)
const rules = formRules(PassphraseSchema, {
  passphrase: { says: `It needs at least ${LEAST_PASSPHRASE} characters. Nothing was changed.` },
  old: { says: 'Type the one that holds now. Nothing was changed.', read: text => (text === '' ? undefined : text) },
})
async function keep(): Promise<void> {
  if (!await isRight(form)) return
  await setPassphrase(typed.passphrase, state.value?.hasPassphrase ? typed.old : null)
  form.value?.resetFields()
}
</script>

<template>
  <HousePage :trouble="trouble">
    <div
      v-if="state"
      class="network"
    >
      <section>
        <h1>House network</h1>
        <p
          v-if="!state.open"
          class="lead"
        >
          Only this machine can open the hearth now. Nothing else in the house can reach it.
        </p>
        <p
          v-else
          class="lead"
        >
          Telephones and tablets in the house can open the hearth, once they have entered the passphrase.
        </p>
        <div
          v-if="!state.open"
          class="slab"
        >
          <h2>To open it to the house</h2>
          <ol>
            <li>{{ state.hasPassphrase ? 'A passphrase is set.' : 'Set a passphrase here.' }}</li>
            <li>Stop the hearth and start it with <code>npm start -- --house</code>.</li>
            <li>Come back to this page: it shows the address to scan.</li>
          </ol>
        </div>
        <ElForm
          ref="form"
          class="slab"
          :model="typed"
          :rules="rules"
          hide-required-asterisk
          @submit.prevent="keep"
        >
          <h2>{{ state.hasPassphrase ? 'Another passphrase' : 'The household\'s passphrase' }}</h2>
          <ElFormItem
            v-if="state.hasPassphrase"
            prop="old"
            label="The one that holds now"
          >
            <ElInput
              v-model="typed.old"
              type="password"
              autocomplete="current-password"
              maxlength="200"
            />
          </ElFormItem>
          <ElFormItem
            prop="passphrase"
            :label="`${state.hasPassphrase ? 'The new one: at' : 'At'} least ${LEAST_PASSPHRASE} characters; three words are easy to say across a kitchen`"
          >
            <ElInput
              v-model="typed.passphrase"
              type="password"
              autocomplete="new-password"
              maxlength="200"
            />
          </ElFormItem>
          <ElButton native-type="submit">
            Set it
          </ElButton>
          <p
            v-if="state.hasPassphrase"
            class="soft small"
          >
            Forgotten? On the machine it runs on, start the hearth once with <code>npm start -- --forget-passphrase</code>: nothing else is lost, and every device enters anew.
          </p>
          <p
            v-if="says"
            role="status"
          >
            {{ says }}
          </p>
        </ElForm>
        <section
          v-if="sessions.length > 0"
          class="slab"
        >
          <h2>Devices that have entered</h2>
          <ul>
            <li
              v-for="one in sessions"
              :key="one.id"
            >
              <span>{{ one.name || 'a device without a name' }}{{ one.own ? ' (this one)' : '' }} <span class="soft">last seen {{ dayText(one.seenAt) }} {{ timeOfDay(one.seenAt) }}</span></span>
              <ElButton
                :aria-label="`Send out: ${one.name || 'a device without a name'}`"
                @click="end(one.id)"
              >
                Send out
              </ElButton>
            </li>
          </ul>
        </section>
        <CalendarKeys :addresses="state.addresses" />
      </section>
      <aside
        v-if="state.open"
        aria-label="Addresses"
      >
        <h2>For the phone at the fire</h2>
        <p class="soft">
          Scan it, or type it. The phone has to be in the same network.
        </p>
        <HouseAddress
          v-for="address in state.addresses"
          :key="address"
          :address="address"
        />
        <p class="soft small">
          Over plain http a phone keeps its marks and sends them later, but it has no camera, and a reload needs the hearth. Leave the page open while something is on the fire.
        </p>
      </aside>
    </div>
  </HousePage>
</template>

<style scoped>
.network { display: grid; grid-template-columns: minmax(0, 1fr) 320px; gap: 40px; padding-top: 10px; }
.network > * { display: grid; gap: 18px; align-content: start; }
.lead { font-size: 1.3rem; }
form { display: grid; gap: 8px; justify-items: start; }
form p { margin: 0; }
ol { margin: 6px 0 0; padding-left: 1.4rem; }
ul { list-style: none; margin: 0; padding: 0; }
li { display: flex; justify-content: space-between; align-items: center; gap: 12px; padding: 4px 0; }
ol li { display: list-item; }
code { font: 600 1rem ui-monospace, monospace; background: var(--wall-sunk); padding: 2px 6px; }
@media (max-width: 900px) { .network { grid-template-columns: 1fr; } }
</style>
