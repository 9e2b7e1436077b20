<script setup lang="ts">
/** A short walk through the Desk, from a line of text to the watch; it can be left at every step. */
const emit = defineEmits<{ end: [] }>()
const isOpen = ref(true)
const steps = [
  {
    target: '.sheet .heads',
    title: 'Write a line',
    words:
      'Type or paste what a coach would write: 9 x 500 m @ 5k effort / 2 min jog. Each row says at once when it begins ' +
      'and what it comes to.',
    placement: 'bottom',
  },
  {
    target: '.side',
    title: 'What it comes to',
    words:
      'Time, distance, how hard it is for you, and how often a watch would nudge. A question mark beside a number says ' +
      'where it comes from.',
    placement: 'left',
  },
  {
    target: '.side [aria-label=Remarks]',
    title: 'Doubts are asked',
    words: 'What has two readings is asked at its row, with the answers beside it. Nothing is guessed silently.',
    placement: 'left',
  },
  {
    target: '[data-test=send-to-watch]',
    title: 'Onto the watch',
    words:
      'What the watch cannot do is said before it goes. A receipt says that it is there, step by step. There is a stand-in to try it on.',
    placement: 'top',
  },
  {
    target: '.rim .tools',
    title: 'Find anything, by keys',
    words: 'Find leads to any room, session or day. Keys lists what the keyboard does in the room you are in.',
    placement: 'bottom',
  },
] as const
</script>

<template>
  <el-tour v-model="isOpen" append-to="#room" @close="emit('end')" @finish="emit('end')">
    <el-tour-step v-for="step in steps" :key="step.target" :target="step.target" :title="step.title" :placement="step.placement">
      {{ step.words }}
    </el-tour-step>
    <template #indicators="{ current, total }">{{ current + 1 }} of {{ total }}</template>
  </el-tour>
</template>
