import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/sun.json', { eager: true, import: 'default' }))
