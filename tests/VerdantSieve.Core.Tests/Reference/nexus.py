"""Reads nexus-sample.nex with DendroPy (Debian package python3-dendropy) and prints what it read: /usr/bin/python3 nexus.py > nexus-dendropy.json"""
import json
import os

import dendropy

here = os.path.dirname(os.path.realpath(__file__))
matrix = dendropy.StandardCharacterMatrix.get(path=os.path.join(here, "nexus-sample.nex"), schema="nexus")
print(json.dumps({taxon.label: [state.symbol if state.symbol in ("?", "-") else "".join(sorted(state.fundamental_symbols)) for state in matrix[taxon]] for taxon in matrix}, ensure_ascii=False, indent=1))
