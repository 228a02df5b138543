import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/strip.json', { eager: true, import: 'default' }))
