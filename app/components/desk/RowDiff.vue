<script setup lang="ts">
import { diffSessions } from '~~/core/edit/diff'
import type { Session } from '~~/core/session/document'
import { deskRowDiff as texts } from '~/texts/en'

const props = defineProps<{ before: Session; after: Session }>()
const diff = computed(() => diffSessions(props.before, props.after))
const indent = (depth: number) => ({ paddingLeft: `${depth * 16}px` })
</script>

<template>
  <table class="diff" :aria-label="texts.rowByRow">
    <tbody>
      <tr v-for="(row, index) in diff.rows" :key="index" :class="row.change">
        <td class="mark" :aria-label="row.change">{{ { same: '', added: '+', removed: '−', changed: '≠' }[row.change] }}</td>
        <td class="mono">
          <del v-if="row.change !== 'added' && row.change !== 'same'" :style="indent(row.before.depth)">{{ row.before.words }}</del>
          <span v-if="row.change !== 'removed'" :style="indent(row.after.depth)">{{ row.after.words }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.diff {
  border-collapse: collapse;
  font-size: 0.8125rem;
  width: 100%;
  margin: 4px 0;
}
td {
  padding: 1px 4px 1px 0;
  vertical-align: baseline;
}
td span,
td del {
  display: block;
  overflow-wrap: anywhere;
}
.mark {
  width: 14px;
  font-weight: 700;
  color: var(--clay-4);
}
del {
  color: var(--faint);
}
.same td {
  color: var(--faint);
}
.added span,
.changed span {
  font-weight: 600;
}
</style>
