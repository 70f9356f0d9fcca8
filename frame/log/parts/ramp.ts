export const ramp = (t: number) => `color-mix(in oklab, #e9e0d0 ${Math.round((1 - t) * 100)}%, #64422a)`;
