/** On paper only the sheet stands: everything around it goes, and what scrolls on screen runs on. */
export const printCss = `@media print{header,[role=tablist],.sheet-foot{display:none!important}body,#root,#root *{overflow:visible!important;height:auto!important;max-height:none!important;position:static!important}body,#root div{background:#fff!important}}`;
