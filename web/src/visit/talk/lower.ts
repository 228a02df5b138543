/** Names of the server as a list within a sentence. */
export const lower = (values: string[]) => values.map((v) => v.toLowerCase().replace('_', ' ')).join(', ')
