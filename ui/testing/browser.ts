// What jsdom lacks of a browser and the primitives ask for.
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
