<script setup lang="ts">
import { MoreFilled } from '@element-plus/icons-vue'

defineProps<{
  /** Whether there is a plan that a calendar can be made of. */
  planned: boolean
}>()

const emit = defineEmits<{
  /** The day is wanted on a sheet of paper. */
  print: []
  /** The day is wanted as a calendar file. */
  calendar: []
}>()
</script>

<template>
  <ElDropdown
    trigger="click"
    @command="(command: string) => (command === 'print' ? emit('print') : emit('calendar'))"
  >
    <ElButton :icon="MoreFilled">
      Take it along
    </ElButton>
    <template #dropdown>
      <ElDropdownMenu>
        <ElDropdownItem command="print">
          Print it on a sheet
        </ElDropdownItem>
        <ElDropdownItem
          command="calendar"
          :disabled="!planned"
        >
          As a calendar file
        </ElDropdownItem>
      </ElDropdownMenu>
    </template>
  </ElDropdown>
</template>
