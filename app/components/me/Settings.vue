<script setup lang="ts">
import type { Athlete } from '~~/core/athlete/athlete'
import type { DateForms } from '~~/core/words/date'
import { sayClock, sayDay, sayWeekday, usualForms } from '~~/core/words/date'
import type { Mode } from '~/theme/mode'
import { modes, useMode } from '~/theme/mode'
import { meSettings as texts } from '~/texts/en'

/** How days and times are said, when a week begins, which clock counts, and light or night. */
const props = defineProps<{ athlete: Athlete }>()
const emit = defineEmits<{ keep: [change: (athlete: Athlete) => Athlete] }>()
const athletes = useAthleteStore()
const mode = useMode()
const forms = computed(() => ({ ...usualForms, ...props.athlete.shown }))
const zones = Intl.supportedValuesOf('timeZone')
const modeWords: Record<Mode, string> = { device: texts.asThisDeviceHas, light: 'light', night: 'night' }
const dateForms = (['day-first', 'month-first', 'iso'] as const).map(dates => ({
  dates,
  words: sayDay(athletes.today, { weekday: 'short', year: true }, { dates, clock: '24' }),
}))
const say = (change: Partial<DateForms>) => emit('keep', athlete => ({ ...athlete, shown: { ...athlete.shown, ...change } }))
</script>

<template>
  <div class="settings">
    <label
      >{{ texts.days }}
      <el-select :model-value="forms.dates" data-test="dates" @change="(dates: DateForms['dates']) => say({ dates })">
        <el-option v-for="one in dateForms" :key="one.dates" :value="one.dates" :label="one.words" />
      </el-select>
    </label>
    <label
      >{{ texts.times }}
      <el-select :model-value="forms.clock" data-test="clock" @change="(clock: DateForms['clock']) => say({ clock })">
        <el-option value="24" :label="sayClock(1110, '24')" />
        <el-option value="12" :label="sayClock(1110, '12')" />
      </el-select>
    </label>
    <label
      >{{ texts.theWeekBeginsOn }}
      <el-select
        :model-value="athlete.weekStart ?? 1"
        data-test="week-start"
        @change="(weekStart: number) => emit('keep', now => ({ ...now, weekStart }))">
        <el-option v-for="day in 7" :key="day" :value="day" :label="sayWeekday(day % 7)" />
      </el-select>
    </label>
    <label
      >{{ texts.whereYouAre }}
      <el-select
        :model-value="athletes.standpoint.zone"
        filterable
        class="wide"
        data-test="zone"
        @change="(timeZone: string) => emit('keep', now => ({ ...now, timeZone }))">
        <el-option v-for="zone in zones" :key="zone" :value="zone" :label="zone.replace(/_/g, ' ')" />
      </el-select>
    </label>
    <label
      >{{ texts.lightOrNight }}
      <el-select v-model="mode" data-test="mode">
        <el-option v-for="one in modes" :key="one" :value="one" :label="modeWords[one]" />
      </el-select>
    </label>
  </div>
  <p class="faint small">
    {{ texts.oneClockCountsEverywhere }}
  </p>
</template>

<style scoped>
.settings {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 26px;
}
label {
  display: grid;
  gap: 3px;
  color: var(--faint);
}
.wide {
  --el-select-width: 240px;
}
.small {
  font-size: 0.86rem;
}
</style>
