// How often each concept comes first over random weights, away from the page's own thread; one message a thousand sets.
import { type FragilityInput, firstPlaces } from "@/core/concepts/fragility";

self.onmessage = (e: MessageEvent<{ input: FragilityInput; sets: number; seed: string }>) => {
  for (const step of firstPlaces(e.data.input, e.data.sets, e.data.seed)) self.postMessage(step);
};
