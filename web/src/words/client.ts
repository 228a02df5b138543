import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/client.json', { eager: true, import: 'default' }))
