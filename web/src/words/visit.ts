import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/visit.json', { eager: true, import: 'default' }))
