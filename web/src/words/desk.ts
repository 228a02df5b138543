import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/desk.json', { eager: true, import: 'default' }))
