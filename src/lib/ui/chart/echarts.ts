/*
 * The parts of the chart library that our charts use. Imported only where a chart is drawn: it is the largest thing we
 * load.
 */
import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import * as echarts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

echarts.use([
	LineChart,
	ScatterChart,
	GridComponent,
	MarkAreaComponent,
	MarkLineComponent,
	TooltipComponent,
	SVGRenderer
]);

export { echarts };
