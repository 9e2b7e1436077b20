<script setup lang="ts">
import type { Edit } from '~~/core/edit/edit'
import { itemAt } from '~~/core/session/item-path'
import { rowActions } from '~/desk/row-keys'
import { shownAlt } from '~/keys/alt-key'
import { deskRowMenu as texts } from '~/texts/en'

/** What can be done to the row in hand, in a menu that stands at the row. */
const props = defineProps<{ path: string; top: number }>()
const emit = defineEmits<{ edit: [edit: Edit]; closed: [] }>()
const desk = useDeskReadingStore()
const needsRepeat = new Set(['Ungroup', '+1 round', '−1 round', texts.dropLastRecovery])

const item = computed(() => (desk.session ? itemAt(desk.session, props.path) : null))
const shown = computed(() =>
  item.value && item.value.kind !== 'unread'
    ? rowActions.filter(action => !needsRepeat.has(action.name) || action.edit(desk.session!, props.path) !== null)
    : [],
)
function act(name: string) {
  const wanted = desk.session && rowActions.find(action => action.name === name)?.edit(desk.session, props.path)
  if (wanted) emit('edit', wanted)
}
</script>

<template>
  <el-dropdown
    v-if="shown.length > 0"
    trigger="click"
    placement="bottom-end"
    class="row-menu"
    :style="{ top: `${top}px` }"
    @command="act"
    @visible-change="(isOpen: boolean) => !isOpen && emit('closed')">
    <el-button size="small" :aria-label="texts.thisRow" data-test="row-menu">{{ texts.row }}</el-button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="action in shown" :key="action.name" :command="action.name" :divided="action.name === 'Delete'">
          {{ action.name }} <kbd class="faint">{{ shownAlt(action) }}</kbd>
        </el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>

<style scoped>
.row-menu {
  position: absolute;
  right: calc(var(--string) + var(--comes) - 58px);
  z-index: 2;
}
.row-menu :deep(.el-button) {
  min-height: 24px;
  height: 24px;
  padding: 0 8px;
}
@media (max-width: 640px) {
  .row-menu {
    right: calc(var(--string) + var(--comes) + 2px);
  }
}
</style>
