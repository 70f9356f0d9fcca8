// What a part shows after an answer is waited for as long as a busy machine takes: slow is not wrong.
if (typeof window !== "undefined")
  jest
    .requireActual<typeof import("@testing-library/react")>("@testing-library/react")
    .configure({ asyncUtilTimeout: 30_000 });
