import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/patch.json', { eager: true, import: 'default' }))
