import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/keys.json', { eager: true, import: 'default' }))
