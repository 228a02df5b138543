import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/week.json', { eager: true, import: 'default' }))
