import { together } from "../together";

together("db", 3, 4);
