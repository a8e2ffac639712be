package embercup.server.labels;

import java.util.List;

/**
 * What stands on a label, in the cook's language.
 *
 * @param name as large as it fits
 * @param contents herbs with their Latin names, and their shares when there are several
 * @param made when it was made or filled; empty when nobody said
 * @param useBy until when it is good; empty for what keeps
 * @param take how it is taken; empty when it is not said
 * @param care what is to be minded, the gravest first
 * @param path that opens it, behind the address of a kitchen
 */
record Label(
        String name, List<String> contents, String made, String useBy, String take, List<String> care, String path) {}
