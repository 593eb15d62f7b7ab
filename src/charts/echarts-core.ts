import { LineChart, type LineSeriesOption } from 'echarts/charts';
import {
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  MarkPointComponent,
  type GridComponentOption,
} from 'echarts/components';
import * as echarts from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';

echarts.use([LineChart, GridComponent, MarkAreaComponent, MarkLineComponent, MarkPointComponent, CanvasRenderer]);

export type ECOption = echarts.ComposeOption<LineSeriesOption | GridComponentOption>;
export { echarts };
