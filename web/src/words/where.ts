import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/where.json', { eager: true, import: 'default' }))
