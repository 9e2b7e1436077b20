<script setup lang="ts">
import { BarChart, LineChart, ScatterChart } from 'echarts/charts'
import {
  DataZoomInsideComponent,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  MarkPointComponent,
  TooltipComponent,
} from 'echarts/components'
import type { EChartsCoreOption } from 'echarts/core'
import { use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'

/** A chart. It comes after the words: rooms ask for it as `LazyChartPicture` and keep its place. */
defineProps<{ option: EChartsCoreOption; label: string }>()

use([
  BarChart,
  LineChart,
  ScatterChart,
  DataZoomInsideComponent,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  MarkPointComponent,
  TooltipComponent,
  CanvasRenderer,
])
</script>

<template>
  <VChart :option="option" autoresize role="img" :aria-label="label" />
</template>
