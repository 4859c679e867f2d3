using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace VerdantSieve.Store.Migrations
{
    /// <summary>A taxon and a character are each stored as one document; history keeps what a change changed.</summary>
    [DbContext(typeof(SieveContext))]
    [Migration("20261126002442_OneDocument")]
    public class OneDocument : Migration
    {
        private static readonly string[] TaxonColumns =
        [
            "abundance",
            "aggregate",
            "authority",
            "common_names",
            "doubles",
            "family",
            "group",
            "hazards",
            "hybrid_of",
            "introduced",
            "local_abundance",
            "meaning",
            "native",
            "provenance",
            "rank",
            "remember",
            "settings",
            "synonyms",
            "windows_at",
        ];

        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "changes", table: "revisions", type: "jsonb", nullable: true);
            migrationBuilder.AddColumn<string>(
                name: "definition",
                table: "taxa",
                type: "jsonb",
                nullable: false,
                defaultValueSql: "'{}'::jsonb"
            );
            migrationBuilder.Sql(
                """
                update taxa set definition = jsonb_build_object(
                    'name', name, 'rank', rank, 'authority', nullif(authority, 'not given'), 'family', nullif(family, 'not given'), 'group', "group",
                    'aggregate', aggregate, 'hybridOf', to_jsonb(hybrid_of), 'commonNames', to_jsonb(common_names), 'synonyms', to_jsonb(synonyms),
                    'distribution', jsonb_build_object(
                        'native', to_jsonb(array(select distinct unnest(native))),
                        'introduced', to_jsonb(array(select distinct unnest(introduced) except select unnest(native))),
                        'local', local_abundance),
                    'settings', to_jsonb(settings), 'abundance', abundance, 'windowsAt', windows_at, 'hazards', hazards, 'doubles', doubles,
                    'remember', remember, 'meaning', meaning, 'provenance', provenance);
                update characters set definition = (definition - 'echo')
                    || jsonb_build_object('kind', kind, 'part', nullif(part, 'characters'), 'correlation', definition -> 'echo');
                """
            );
            migrationBuilder.Sql("alter table taxa alter column definition drop default");
            foreach (var column in TaxonColumns)
                migrationBuilder.DropColumn(name: column, table: "taxa");
            migrationBuilder.DropColumn(name: "kind", table: "characters");
            migrationBuilder.DropColumn(name: "part", table: "characters");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder) =>
            throw new System.NotSupportedException("The columns of before are not made again: go back to a copy of the database.");
    }
}
