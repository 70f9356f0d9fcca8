/** Version of the bundle's shape; it grows with every migration that changes an exported table. */
export const schemaVersion = 4;
