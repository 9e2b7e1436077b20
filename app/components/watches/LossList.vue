<script setup lang="ts">
import type { Loss } from '~~/core/wrist/fit/fit'
import { lossKey, refusal } from '~~/core/wrist/fit/loss'
import { aboutWords } from '~/watches/words'
import { watchesLossList as texts } from '~/texts/en'

/** Every loss at its row, with what is used instead, and the other ways to choose from. */
const props = defineProps<{ losses: readonly Loss[]; standing?: Readonly<Record<string, string>>; isBusy?: boolean }>()
const emit = defineEmits<{ choose: [key: string, way: string]; always: [about: string, way: string | null] }>()
const isStanding = (loss: Loss) => loss.about !== undefined && props.standing?.[loss.about] === loss.way
const isWall = (loss: Loss) => loss.instead === null && !loss.ways
</script>

<template>
  <p v-if="losses.length > 0" class="faint">{{ texts.whatThisWatchCannot }} <Explained term="loss" /></p>
  <ul v-if="losses.length > 0" class="losses" data-test="losses">
    <li v-for="(loss, index) in losses" :key="index" class="said" :class="loss.instead === null ? 'error' : 'ask'">
      <span v-if="loss.path" class="mono faint path">{{ loss.path }}</span>{{ loss.what }}
      <strong v-if="isWall(loss)" class="bad"> {{ texts.notPossibleThere }}</strong>
      <span v-else-if="!loss.ways || loss.ways.length === 0">
        {{ texts.instead }} <strong>{{ loss.instead }}</strong></span
      >
      <span v-else class="ways">
        <label
          >{{ texts.instead2 }}
          <el-select :model-value="loss.way" :disabled="isBusy" data-test="way" @change="emit('choose', lossKey(loss), $event)">
            <el-option v-for="way in loss.ways" :key="way.way" :value="way.way" :label="way.instead" />
            <el-option :value="refusal" :label="texts.nothingDoNotSend" />
          </el-select>
        </label>
        <el-checkbox
          v-if="loss.about"
          :model-value="isStanding(loss)"
          :disabled="isBusy"
          @change="emit('always', loss.about, isStanding(loss) ? null : loss.way!)"
          >{{ texts.alwaysSoFor(aboutWords(loss.about)) }}</el-checkbox
        >
      </span>
    </li>
  </ul>
</template>

<style scoped>
.losses {
  list-style: none;
  padding: 0;
  margin: 8px 0;
  max-height: min(46vh, 520px);
  overflow: auto;
}
.path {
  margin-right: 10px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin-top: 4px;
}
.ways label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 34px;
}
.ways .el-select {
  --el-select-width: min(270px, 70vw);
}
</style>
