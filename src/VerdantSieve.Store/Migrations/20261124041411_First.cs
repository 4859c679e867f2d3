using System;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace VerdantSieve.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(SieveContext))]
    [Migration("20261124041411_First")]
    public class First : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "floras",
                columns: table => new
                {
                    id = table.Column<string>(type: "text", nullable: false),
                    title = table.Column<string>(type: "text", nullable: false),
                    edition = table.Column<int>(type: "integer", nullable: false),
                    reference_latitude = table.Column<double>(type: "double precision", nullable: false),
                    reference_longitude = table.Column<double>(type: "double precision", nullable: false),
                    reference_elevation = table.Column<double>(type: "double precision", nullable: false),
                    genus_words = table.Column<string>(type: "jsonb", nullable: false),
                    family_words = table.Column<string>(type: "jsonb", nullable: false),
                    aggregates = table.Column<string>(type: "jsonb", nullable: false),
                    near_alike = table.Column<string>(type: "jsonb", nullable: false),
                    fingerprint = table.Column<string>(type: "text", nullable: false),
                    loaded = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_floras", x => x.id);
                }
            );

            migrationBuilder.CreateTable(
                name: "looks",
                columns: table => new
                {
                    id = table.Column<string>(type: "text", nullable: false),
                    flora_id = table.Column<string>(type: "text", nullable: false),
                    cursor = table.Column<int>(type: "integer", nullable: false),
                    last_step = table.Column<int>(type: "integer", nullable: false),
                    place = table.Column<string>(type: "text", nullable: false),
                    observer = table.Column<string>(type: "text", nullable: false),
                    date = table.Column<DateOnly>(type: "date", nullable: true),
                    readings = table.Column<int>(type: "integer", nullable: false),
                    determination_name = table.Column<string>(type: "text", nullable: true),
                    determination_probability = table.Column<double>(type: "double precision", nullable: true),
                    determination_rank = table.Column<string>(type: "text", nullable: true),
                    is_demo = table.Column<bool>(type: "boolean", nullable: false),
                    created = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    changed = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    discarded = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_looks", x => x.id);
                }
            );

            migrationBuilder.CreateTable(
                name: "characters",
                columns: table => new
                {
                    flora_id = table.Column<string>(type: "text", nullable: false),
                    id = table.Column<string>(type: "text", nullable: false),
                    kind = table.Column<string>(type: "text", nullable: false),
                    part = table.Column<string>(type: "text", nullable: false),
                    order = table.Column<int>(type: "integer", nullable: false),
                    definition = table.Column<string>(type: "jsonb", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_characters", x => new { x.flora_id, x.id });
                    table.ForeignKey(
                        name: "fk_characters_floras_flora_id",
                        column: x => x.flora_id,
                        principalTable: "floras",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "taxa",
                columns: table => new
                {
                    flora_id = table.Column<string>(type: "text", nullable: false),
                    name = table.Column<string>(type: "text", nullable: false),
                    rank = table.Column<string>(type: "text", nullable: false),
                    authority = table.Column<string>(type: "text", nullable: false),
                    family = table.Column<string>(type: "text", nullable: false),
                    group = table.Column<string>(type: "text", nullable: true),
                    aggregate = table.Column<string>(type: "text", nullable: true),
                    hybrid_of = table.Column<string[]>(type: "text[]", nullable: false),
                    common_names = table.Column<string[]>(type: "text[]", nullable: false),
                    synonyms = table.Column<string[]>(type: "text[]", nullable: false),
                    native = table.Column<string[]>(type: "text[]", nullable: false),
                    introduced = table.Column<string[]>(type: "text[]", nullable: false),
                    settings = table.Column<string[]>(type: "text[]", nullable: false),
                    abundance = table.Column<string>(type: "text", nullable: false),
                    hazards = table.Column<string>(type: "jsonb", nullable: false),
                    doubles = table.Column<string>(type: "jsonb", nullable: false),
                    remember = table.Column<string>(type: "text", nullable: false),
                    provenance = table.Column<string>(type: "text", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_taxa", x => new { x.flora_id, x.name });
                    table.ForeignKey(
                        name: "fk_taxa_floras_flora_id",
                        column: x => x.flora_id,
                        principalTable: "floras",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "look_steps",
                columns: table => new
                {
                    look_id = table.Column<string>(type: "text", nullable: false),
                    number = table.Column<int>(type: "integer", nullable: false),
                    done = table.Column<string>(type: "text", nullable: false),
                    content = table.Column<string>(type: "jsonb", nullable: false),
                    at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_look_steps", x => new { x.look_id, x.number });
                    table.ForeignKey(
                        name: "fk_look_steps_looks_look_id",
                        column: x => x.look_id,
                        principalTable: "looks",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "scores",
                columns: table => new
                {
                    flora_id = table.Column<string>(type: "text", nullable: false),
                    taxon_name = table.Column<string>(type: "text", nullable: false),
                    character_id = table.Column<string>(type: "text", nullable: false),
                    notation = table.Column<string>(type: "text", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey(
                        "pk_scores",
                        x => new
                        {
                            x.flora_id,
                            x.taxon_name,
                            x.character_id,
                        }
                    );
                    table.ForeignKey(
                        name: "fk_scores_characters_flora_id_character_id",
                        columns: x => new { x.flora_id, x.character_id },
                        principalTable: "characters",
                        principalColumns: new[] { "flora_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_scores_taxa_flora_id_taxon_name",
                        columns: x => new { x.flora_id, x.taxon_name },
                        principalTable: "taxa",
                        principalColumns: new[] { "flora_id", "name" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateIndex(name: "ix_looks_discarded_date", table: "looks", columns: new[] { "discarded", "date" });

            migrationBuilder.CreateIndex(
                name: "ix_scores_flora_id_character_id",
                table: "scores",
                columns: new[] { "flora_id", "character_id" }
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "look_steps");

            migrationBuilder.DropTable(name: "scores");

            migrationBuilder.DropTable(name: "looks");

            migrationBuilder.DropTable(name: "characters");

            migrationBuilder.DropTable(name: "taxa");

            migrationBuilder.DropTable(name: "floras");
        }
    }
}
