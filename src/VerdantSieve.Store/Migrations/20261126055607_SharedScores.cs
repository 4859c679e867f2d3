using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace VerdantSieve.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(SieveContext))]
    [Migration("20261126055607_SharedScores")]
    public class SharedScores : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "keyed",
                table: "floras",
                type: "jsonb",
                nullable: false,
                defaultValueSql: "'[]'::jsonb");

            migrationBuilder.AddColumn<string>(
                name: "shared",
                table: "floras",
                type: "jsonb",
                nullable: false,
                defaultValueSql: "'[]'::jsonb");

            // What was brought to a country is now either run wild or no more than planted; so far it was not told apart.
            migrationBuilder.Sql(
                """
                update taxa
                set definition = jsonb_set(definition #- '{distribution,introduced}', '{distribution,runWild}',
                    definition #> '{distribution,introduced}')
                where definition #> '{distribution,introduced}' is not null
                """);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.Sql(
                """
                update taxa
                set definition = jsonb_set(definition #- '{distribution,runWild}', '{distribution,introduced}',
                    definition #> '{distribution,runWild}')
                where definition #> '{distribution,runWild}' is not null
                """);

            migrationBuilder.DropColumn(
                name: "keyed",
                table: "floras");

            migrationBuilder.DropColumn(
                name: "shared",
                table: "floras");
        }
    }
}
