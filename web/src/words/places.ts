import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/places.json', { eager: true, import: 'default' }))
