import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/whatif.json', { eager: true, import: 'default' }))
