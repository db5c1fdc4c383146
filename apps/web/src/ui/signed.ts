/** `+3 %`, `0 %`, `-3 %` */
export const signed = (percent: number): string => `${Math.round(percent) > 0 ? '+' : ''}${Math.round(percent) + 0} %`;
