/** Where the simulated kitchen scale is found: on the machine of whoever looks at it. */
export const SIMULATED_SCALE_PORT = 4380
export const SIMULATED_SCALE = `http://127.0.0.1:${SIMULATED_SCALE_PORT}`
