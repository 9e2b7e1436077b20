<script setup lang="ts">
import type { ClockTime } from '~~/core/reckon/home'
import { homeBy, parseClockTime, sayClockTime, startFor } from '~~/core/reckon/home'
import type { Interval } from '~~/core/reckon/interval'
import { deskHomeBy as texts } from '~/texts/en'

const dates = useDates()
const say = (time: ClockTime) => sayClockTime(time, dates.clockForm.value)
const props = defineProps<{ seconds: Interval }>()

const start = useSessionStorage('agonis.start', '')
const home = useSessionStorage('agonis.home', '')
const startAt = computed(() => parseClockTime(start.value))
const homeAt = computed(() => parseClockTime(home.value))
const back = computed(() => (startAt.value === null ? null : homeBy(startAt.value, props.seconds)))
const out = computed(() => (homeAt.value === null ? null : startFor(homeAt.value, props.seconds)))
const isWrong = (typed: string, read: number | null) => typed.trim() !== '' && read === null
</script>

<template>
  <dl class="home">
    <dt>
      <label for="start-at">{{ texts.startAt }}</label>
      <el-input
        id="start-at"
        v-model="start"
        class="mono"
        placeholder="06:30"
        maxlength="8"
        autocomplete="off"
        data-test="start-at"
        :aria-invalid="isWrong(start, startAt)" />
    </dt>
    <dd data-test="back-at">
      <span v-if="isWrong(start, startAt)" class="bad">{{ texts.aTimeAsIn }}</span>
      <template v-else-if="back"
        >{{ back.likely ? texts.home(say(back.likely)) : texts.lengthNotKnown
        }}<span v-if="back.high && back.likely && back.high.minutes !== back.likely.minutes" class="faint">
          {{ texts.to(say(back.high)) }}</span
        ></template
      >
    </dd>
    <dt>
      <label for="home-by">{{ texts.homeBy }}</label>
      <el-input
        id="home-by"
        v-model="home"
        class="mono"
        placeholder="07:30"
        maxlength="8"
        autocomplete="off"
        data-test="home-by"
        :aria-invalid="isWrong(home, homeAt)" />
    </dt>
    <dd data-test="start-for">
      <span v-if="isWrong(home, homeAt)" class="bad">{{ texts.aTimeAsIn07 }}</span>
      <template v-else-if="out"
        >{{ out.likely ? texts.start(say(out.likely)) : texts.lengthNotKnown
        }}<span v-if="out.safe && out.likely && out.safe.minutes !== out.likely.minutes" class="faint">{{
          texts.toBeSure(say(out.safe))
        }}</span></template
      >
    </dd>
  </dl>
</template>

<style scoped>
.home {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 10px;
  margin: 0 0 10px;
  align-items: center;
}
dt {
  display: flex;
  align-items: center;
}
dt label {
  width: 72px;
}
dd {
  margin: 0;
  text-align: right;
  font-size: 0.93rem;
}
.el-input {
  width: 84px;
  margin-left: 4px;
}
</style>
