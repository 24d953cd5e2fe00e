/** As much of the validator as is used: it ships without types. */
declare module 'gltf-validator' {
  export function validateBytes(bytes: Uint8Array): Promise<{
    issues: { numErrors: number; numWarnings: number; messages: readonly unknown[] }
  }>
}
